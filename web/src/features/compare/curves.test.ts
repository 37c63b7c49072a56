import { describe, expect, it } from 'vitest'
import type { Curve } from '@/api/types'
import { curveOptions, emailOptions } from './curves'

function curve(days: number): Curve {
  return {
    points: Array.from({ length: days + 1 }, (_, day) => {
      const value = day / 100
      return { day, value, low: value * 0.8, high: value * 1.3, atRisk: 100, events: 1 }
    }),
  }
}

describe('the curves of runs', () => {
  it('start at nothing on day 0 and count a day at its end', () => {
    const line = curveOptions([{ name: 'a', curve: curve(3), look: 0 }]).series.at(-1)!
    expect(line.data[0]).toEqual([0, 0])
    expect(line.data.map(([day]) => day)).toEqual([0, 1, 2, 3])
    expect(line.data[3]![1]).toBeCloseTo(3, 9)
  })

  it('carry a band from the low to the high end of the interval', () => {
    const [low, width] = curveOptions([{ name: 'a', curve: curve(2), look: 0 }]).series
    expect(low!.data[2]![1]).toBeCloseTo(1.6, 9)
    expect(width!.data[2]![1]).toBeCloseTo(1, 9)
  })

  it('leave out a run without a goal, and keep the looks of the others', () => {
    const runs = [curve(2), null, curve(2)].map((one, look) => ({
      name: `Run ${look}`,
      curve: one,
      look,
    }))
    const all = curveOptions(runs).series
    expect(all.flatMap((one) => ('name' in one ? [one.name] : []))).toEqual(['Run 0', 'Run 2'])
    const alone = curveOptions([runs[2]!]).series
    expect(alone.at(-1)).toMatchObject({ lineStyle: all.at(-1)!.lineStyle })
  })

  it('tell the emails received by the end of each day', () => {
    const [line] = emailOptions([{ name: 'a', emails: [0, 1, 1.5], look: 1 }]).series
    expect(line!.data).toEqual([
      [0, 0],
      [1, 1],
      [2, 1.5],
    ])
  })
})
