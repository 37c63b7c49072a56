import type { DryRunSummary } from '@/api/types'
import { count } from '@/ui/figures'

/** Whose run it is, in short: a cohort's, so many people's, or that of those who really came. */
export function whoseRun(run: DryRunSummary, unnamed = `${count(run.people)} people`): string {
  return run.lived ? 'what really happened' : `${run.cohortName ?? unnamed} · lot ${run.seed}`
}
