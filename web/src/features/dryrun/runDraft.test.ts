import { describe, expect, it } from 'vitest'
import type { DryRunView, GroupDocument } from '@/api/types'
import { cohortOf, draftOf, FIRST_DRAFT, shareOut, withoutGroup } from './runDraft'

const groups = (...shares: number[]) =>
  shares.map((share, n) => ({ name: `G${n}`, share })) as unknown as GroupDocument[]
const shares = (some: GroupDocument[]) => some.map((one) => one.share)
const sum = (some: GroupDocument[]) => shares(some).reduce((a, b) => a + b, 0)

describe('shares of the groups', () => {
  it('add up to 1 once one of them is set, the others in their proportions', () => {
    const after = shareOut(groups(0.4, 0.4, 0.2), 0)
    expect(shares(after)).toEqual([0.4, expect.closeTo(0.4), expect.closeTo(0.2)])
    const set = groups(0.7, 0.4, 0.2)
    expect(shares(shareOut(set, 0))).toEqual([0.7, expect.closeTo(0.2), expect.closeTo(0.1)])
    expect(sum(shareOut(set, 0))).toBeCloseTo(1, 12)
  })

  it('are even among others of which none had any', () => {
    expect(shares(shareOut(groups(0.4, 0, 0), 0))).toEqual([
      0.4,
      expect.closeTo(0.3),
      expect.closeTo(0.3),
    ])
  })

  it('are left to nobody else by one that takes all', () => {
    expect(shares(shareOut(groups(1, 0.5, 0.5), 0))).toEqual([1, 0, 0])
  })

  it('go to those who stay when a group goes', () => {
    expect(shares(withoutGroup(groups(0.5, 0.3, 0.2), 0))).toEqual([
      expect.closeTo(0.6),
      expect.closeTo(0.4),
    ])
    expect(shares(withoutGroup(groups(1, 0, 0), 0))).toEqual([0.5, 0.5])
  })
})

describe('a run made once more', () => {
  const cohort = { people: 500, arrivals: { kind: 'evenly', days: 3 }, holdOut: 0.1 }
  const of = (id: number) => ({ run: { journeyId: id, seed: 9, horizonDays: 30 } })
  const run = { cohort, journeys: [of(4), of(7), of(8)] } as unknown as DryRunView

  it('has its people, its seed and its days, and the other journeys with it', () => {
    const draft = draftOf(run, 7, { ...FIRST_DRAFT, cohortId: 5 })
    expect(draft).toMatchObject({ people: 500, holdOut: 0.1, seed: 9, horizonDays: 30 })
    expect(draft.together).toEqual([4, 8])
    expect(draft.cohortId).toBe(5)
    expect(cohortOf(draft, groups(1))).toEqual({ ...cohort, groups: groups(1) })
  })
})
