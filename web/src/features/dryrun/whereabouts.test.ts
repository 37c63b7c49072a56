import { describe, expect, it } from 'vitest'
import type { RunSheet, Whereabouts } from '@/api/types'
import { areaOptions, bandsOf, standingOn } from './whereabouts'

const where: Whereabouts = {
  days: 3,
  steps: [
    { step: 'w', people: [10, 6, 0] },
    { step: 'v', people: [0, 3, 4] },
  ],
  finished: [0, 0, 4],
  met: [0, 1, 1],
  lost: [0, 0, 1],
}
const sheet = {
  rows: [
    { id: 'w', brief: 'Wait 1 day', label: null },
    { id: 'v', brief: 'Wait 2 days', label: 'B' },
  ],
} as unknown as RunSheet

describe('who is where', () => {
  it('has everybody in one band or another on every day', () => {
    const bands = bandsOf(where, sheet)
    for (const day of [0, 1, 2]) {
      expect(bands.reduce((sum, band) => sum + band.people[day]!, 0)).toBe(10)
    }
    expect(bands.map((band) => band.name)).toContain('B: Wait 2 days')
  })

  it('stays as it is after the last day', () => {
    expect(standingOn(where, 1).get('v')).toBe(3)
    expect(standingOn(where, 99).get('v')).toBe(4)
  })

  it('marks the day in the chart', () => {
    const first = areaOptions(bandsOf(where, sheet), 3, 1).series[0]!
    expect(first).toMatchObject({ markLine: { data: [{ xAxis: 1 }] } })
  })
})
