import { expect, it } from 'vitest'
import type { ForecastFigure } from '@/api/types'
import { byDay, ofSteps, ofTheWhole, remarksOf, scaleOf } from './figures'

function figure(change: Partial<ForecastFigure>): ForecastFigure {
  return {
    about: 'OPENED',
    step: 'a',
    day: null,
    happened: { count: 30, of: 100, value: 0.3, low: 0.22, high: 0.4 },
    low: 0.25,
    high: 0.4,
    verdict: 'AS_FORECAST',
    said: 'as forecast',
    ...change,
  }
}

const FIGURES = [
  figure({}),
  figure({ about: 'CLICKED', verdict: 'LOWER', said: 'lower than forecast: 1.0% of 100' }),
  figure({ about: 'UNSUBSCRIBED_BY', verdict: 'HIGHER', said: 'higher than forecast' }),
  figure({ step: 'b' }),
  figure({ about: 'GOAL', step: null, high: 0.06, happened: figure({}).happened }),
  figure({ about: 'GOAL', step: null, day: 0 }),
]

it('keeps steps, whole and days apart', () => {
  expect(ofSteps(FIGURES, 'OPENED', new Map([['a', 'First']])).map((row) => row.name)).toEqual([
    'First',
    'b',
  ])
  expect(ofTheWhole(FIGURES).map((row) => row.name)).toEqual(['goal met'])
  expect(byDay(FIGURES)).toHaveLength(1)
})

it('remarks on steps all that is otherwise, and nothing else', () => {
  expect([...remarksOf(FIGURES)]).toEqual([
    ['a', 'clicked: lower than forecast: 1.0% of 100\nunsubscribed: higher than forecast'],
  ])
})

it('ends a scale where all of it is seen', () => {
  expect(scaleOf(ofSteps(FIGURES, 'OPENED', new Map()))).toBe(0.5)
  expect(scaleOf([])).toBe(0.02)
  const half = figure({ happened: { ...figure({}).happened, value: 0.7 } })
  expect(scaleOf(ofSteps([half], 'OPENED', new Map()))).toBe(1)
})
