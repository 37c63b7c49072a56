import type { DryRunSummary } from '@/api/types'

/** What a run is asked for by: its number, and which of its journeys where that is not the first. */
export function refOf(run: DryRunSummary): string {
  return run.number === 0 ? String(run.id) : `${run.id}.${run.number}`
}

/** The newest run of each journey and purpose, to begin a comparison with. */
export function newestOfEachPurpose(runs: DryRunSummary[]): string[] {
  const seen = new Set<string>()
  const newest = [...runs].sort((a, b) => a.journeyId - b.journeyId || b.id - a.id)
  return newest
    .filter((run) => {
      const first = !seen.has(run.purpose) && run.purpose !== 'OTHER' && !run.aside
      if (first) seen.add(run.purpose)
      return first
    })
    .slice(0, 6)
    .map(refOf)
}
