import { onScopeDispose, ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, queryClient, questions } from '@/api/queries'
import type { CohortPlan, DryRunView, RunProgress } from '@/api/types'

const ASK_EVERY_MILLIS = 200

export interface RunWish {
  journeys: number[]
  cohort: CohortPlan
  cohortId: number | null
  seed: number
  horizonDays: number
}

/** One run at a time: begun, watched, cancelled, or read. */
export function useRun() {
  const run = shallowRef<DryRunView | null>(null)
  const progress = shallowRef<RunProgress | null>(null)
  const failure = ref<string | null>(null)
  let gone = false
  onScopeDispose(() => (gone = true))

  async function read(id: number) {
    run.value = await queryClient.fetchQuery(questions.run(id))
  }

  /** Waits until a run is over; gives its id, or null if it was cancelled or failed. */
  async function watch(begun: RunProgress): Promise<number | null> {
    progress.value = begun
    while (!gone && ['QUEUED', 'RUNNING'].includes(progress.value.state)) {
      await new Promise((done) => setTimeout(done, ASK_EVERY_MILLIS))
      const params = { params: { path: { job: begun.job } } }
      progress.value = await answerOf(api.GET('/api/runs-on-their-way/{job}', params))
    }
    const { state, failure: why, run: made } = progress.value
    if (state === 'FAILED') failure.value = why
    return state === 'DONE' ? made : null
  }

  async function carryOut(begin: () => Promise<RunProgress>): Promise<number | null> {
    failure.value = null
    try {
      const made = await watch(await begin())
      if (made !== null) void outdated('runs')
      if (made !== null && !gone) await read(made)
      return made
    } catch (reason) {
      failure.value = reasonOf(reason)
      return null
    } finally {
      const over = progress.value
      progress.value = over && over.said ? over : null
    }
  }

  function make(wish: RunWish): Promise<number | null> {
    return carryOut(() => answerOf(api.POST('/api/dry-runs', { body: wish })))
  }

  function repeat(id: number): Promise<number | null> {
    const params = { params: { path: { id } } }
    return carryOut(() => answerOf(api.POST('/api/dry-runs/{id}/repeats', params)))
  }

  /** Counts what people really went through in a journey that runs. */
  function count(journey: number): Promise<number | null> {
    const params = { params: { path: { journey } } }
    return carryOut(() => answerOf(api.POST('/api/live/journeys/{journey}/reports', params)))
  }

  async function cancel() {
    if (!progress.value) return
    const params = { params: { path: { job: progress.value.job } } }
    await answerOf(api.DELETE('/api/runs-on-their-way/{job}', params))
  }

  return { run, progress, failure, read, make, repeat, count, cancel }
}
