import { describe, expect, it } from 'vitest'
import type { DryRunSummary } from '@/api/types'
import { newestOfEachPurpose, refOf } from './runRefs'

const run = (id: number, journeyId: number, purpose: string, number = 0) =>
  ({ id, number, journeyId, purpose }) as DryRunSummary

describe('runs to compare', () => {
  it('are asked for by number, and by journey where it is not the first', () => {
    expect(refOf(run(12, 1, 'CART'))).toBe('12')
    expect(refOf(run(12, 2, 'CART', 1))).toBe('12.1')
  })

  it('begin with the newest of each purpose', () => {
    const runs = [
      run(1, 1, 'WELCOME'),
      run(9, 1, 'WELCOME'),
      run(3, 2, 'WELCOME'),
      run(4, 3, 'CART'),
      run(5, 4, 'OTHER'),
    ]
    expect(newestOfEachPurpose(runs)).toEqual(['9', '4'])
  })
})
