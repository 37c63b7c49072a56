import type { ArrivalPlan, CohortPlan, DryRunView, GroupDocument } from '@/api/types'

/** How a run is going to be made, besides the journey and its assumptions. */
export interface RunDraft {
  people: number
  arrivals: ArrivalPlan
  holdOut: number
  seed: number
  horizonDays: number
  /** The kept cohort that it began from. */
  cohortId: number | null
  /** Other journeys that the same people go through. */
  together: number[]
}

export const FIRST_DRAFT: RunDraft = {
  people: 20_000,
  arrivals: { kind: 'evenly', days: 7 },
  holdOut: 0,
  seed: 2026,
  horizonDays: 60,
  cohortId: null,
  together: [],
}

/** The draft that would make a run once more. */
export function draftOf(run: DryRunView, journey: number, before: RunDraft): RunDraft {
  const first = run.journeys[0]!.run
  return {
    people: run.cohort.people,
    arrivals: run.cohort.arrivals,
    holdOut: run.cohort.holdOut,
    seed: first.seed,
    horizonDays: first.horizonDays,
    cohortId: before.cohortId,
    together: run.journeys.map((one) => one.run.journeyId).filter((id) => id !== journey),
  }
}

export function cohortOf(draft: RunDraft, groups: GroupDocument[]): CohortPlan {
  const { people, arrivals, holdOut } = draft
  return { people, groups, arrivals, holdOut }
}

/** The other groups keep their proportions, so that all shares still add up. */
export function shareOut(groups: GroupDocument[], fixed: number): GroupDocument[] {
  const rest = 1 - groups[fixed]!.share
  const others = groups.reduce((sum, group, i) => sum + (i === fixed ? 0 : group.share), 0)
  return groups.map((group, i) => {
    if (i === fixed) return group
    const part = others > 0 ? group.share / others : 1 / (groups.length - 1)
    return { ...group, share: rest * part }
  })
}

export function withoutGroup(groups: GroupDocument[], index: number): GroupDocument[] {
  const left = groups.toSpliced(index, 1)
  const total = left.reduce((sum, group) => sum + group.share, 0)
  return left.map((group) => ({
    ...group,
    share: total > 0 ? group.share / total : 1 / left.length,
  }))
}
