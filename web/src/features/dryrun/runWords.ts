import type { DryRunSummary, JourneyDocument } from '@/api/types'
import { count } from '@/ui/figures'

/** Whose run it is, in short: a cohort's, so many people's, or that of those who really came. */
export function whoseRun(run: DryRunSummary, unnamed = `${count(run.people)} people`): string {
  return run.lived ? 'what really happened' : `${run.cohortName ?? unnamed} · lot ${run.seed}`
}

/** Whether two versions of a journey differ in nothing but in who enters. */
export function isSamePlan(one: JourneyDocument, other: JourneyDocument): boolean {
  return JSON.stringify({ ...one, state: null }) === JSON.stringify({ ...other, state: null })
}
