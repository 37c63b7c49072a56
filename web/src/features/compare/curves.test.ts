import { describe, expect, it } from 'vitest'
import type { Column } from '@/api/types'
import { curveOptions } from './curves'

const share = (value: number) => ({
  count: Math.round(value * 100),
  of: 100,
  value,
  low: value - 0.02,
  high: value + 0.03,
})

function column(id: number, days: number): Column {
  return {
    run: { id } as Column['run'],
    name: `Run ${id}`,
    emailNames: [],
    places: [],
    left: share(0.1),
    goal: days > 0 ? share(0.1) : null,
    goalByDay: Array.from({ length: days }, (_, day) => ({ day, met: share(0.05 + day / 100) })),
  }
}

describe('the curves of the goal', () => {
  it('start at nothing on day 0 and count a day at its end', () => {
    const line = curveOptions([column(1, 3)]).series.at(-1)!
    expect(line.data[0]).toEqual([0, 0])
    expect(line.data.map(([day]) => day)).toEqual([0, 1, 2, 3])
    expect(line.data[1]![1]).toBeCloseTo(5, 9)
  })

  it('carry a band from the low to the high end of the interval', () => {
    const [low, width] = curveOptions([column(1, 2)]).series
    expect(low!.data[1]![1]).toBeCloseTo(3, 9)
    expect(width!.data[1]![1]).toBeCloseTo(5, 9)
    expect(low!.data.length).toBe(width!.data.length)
  })

  it('leave out a run without a goal, and keep the looks of the others', () => {
    const all = curveOptions([column(1, 2), column(2, 0), column(3, 2)]).series
    const names = all.flatMap((series) => ('name' in series ? [series.name] : []))
    expect(names).toEqual(['Run 1', 'Run 3'])
    const alone = curveOptions([column(1, 0), column(2, 0), column(3, 2)]).series
    expect(alone.at(-1)).toMatchObject({ lineStyle: all.at(-1)!.lineStyle })
  })
})
