import { describe, expect, it } from 'vitest'
import type { Sweep } from '@/api/types'
import { sweepOptions } from './matters'

const point = (value: number, goal: number, low: number, high: number) => ({
  value,
  goal: { count: 0, of: 0, value: goal, low: null, high: null },
  against: { points: 0, low, high, paired: true, pValue: 1, realDifference: false },
})
const sweep: Sweep = {
  id: 'wait:w',
  name: 'Wait',
  unit: 'days',
  value: 2,
  points: [point(1, 0.1, -0.02, 0), point(2, 0.11, 0, 0), point(3, 0.12, 0, 0.02)],
}

describe('the goal over a range', () => {
  it('has a band about the plan as it is', () => {
    const [low, width, line] = sweepOptions(sweep).series
    expect(low!.data[0]![1]).toBeCloseTo(9, 9)
    expect(width!.data[2]![1]).toBeCloseTo(2, 9)
    expect(width!.data[1]![1]).toBe(0)
    expect(line).toMatchObject({ markLine: { data: [{ xAxis: 2 }] } })
  })
})
