import { describe, expect, it } from 'vitest'
import type { TriedWay } from '@/api/types'
import { pictureOptions } from './waysPicture'

const way = (
  goal: number,
  emails: number,
  more: Partial<TriedWay> = {},
  people = 2000,
): TriedWay => ({
  changes: ['something'],
  fate: '',
  frontier: false,
  row: null,
  figures: {
    people,
    goal: { count: 0, of: people, value: goal, low: goal, high: goal },
    emailsEach: emails,
    unsubscribed: { count: 0, of: people, value: 0, low: 0, high: 0 },
    ordersPerThousand: 0,
    moneyPerThousand: 0,
    mostInAWeek: 2,
    emailsInBusiestMonth: 100,
  },
  ...more,
})

describe('goal against emails', () => {
  it('draws only what everybody went through, and the frontier from few emails to many', () => {
    const options = pictureOptions([
      way(0.12, 3, { frontier: true, row: 0 }),
      way(0.1, 2, { frontier: true, changes: [] }),
      way(0.09, 2.5),
      way(0.5, 1, {}, 500),
    ])
    const [, frontier, tried, found, today] = options.series
    expect(frontier!.data).toEqual([
      [2, 10],
      [3, 12],
    ])
    expect(tried!.data).toHaveLength(1)
    expect(found!.data).toHaveLength(1)
    expect(today!.data).toHaveLength(1)
  })

  it('is never so near that chance looks like a difference', () => {
    const today = way(0.1, 2, { changes: [] })
    Object.assign(today.figures.goal, { low: 0.09, high: 0.11 })
    const [chance] = pictureOptions([today, way(0.1001, 2.001)]).series
    expect(chance!.data).toEqual([
      [1.96, 9],
      [2.04, 11],
    ])
  })

  it('knows no chance where nobody entered', () => {
    const today = way(0, 0, { changes: [] })
    Object.assign(today.figures.goal, { value: null, low: null, high: null })
    expect(pictureOptions([today]).series[0]!.data).toEqual([])
  })
})
