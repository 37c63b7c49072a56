import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import type { RunProgress } from '@/api/types'
import { useRun } from './useRun'

const answers = vi.hoisted(() => ({ list: [] as unknown[], asked: [] as string[] }))

import { queryClient } from '@/api/queries'

vi.mock('@/api/client', () => {
  const answer = (path: string) => {
    answers.asked.push(path)
    return Promise.resolve(answers.list.shift())
  }
  return {
    api: { GET: answer, POST: answer, DELETE: answer },
    answerOf: (asked: Promise<unknown>) => asked,
    reasonOf: (reason: unknown) => String(reason),
  }
})

const progress = (state: RunProgress['state'], change: Partial<RunProgress> = {}): RunProgress => ({
  job: 1,
  state,
  people: 100,
  done: 0,
  peoplePerSecond: 0,
  secondsLeft: null,
  run: null,
  said: null,
  failure: null,
  ...change,
})
const WISH = { journeys: [1], cohort: {} as never, cohortId: null, seed: 1, horizonDays: 60 }

let scope: EffectScope | null = null
afterEach(() => {
  scope?.stop()
  answers.asked.length = 0
})

function run(...list: unknown[]) {
  answers.list = list
  queryClient.clear()
  scope = effectScope()
  return scope.run(() => useRun())!
}

describe('a run', () => {
  it('is watched until it is done, and then read', async () => {
    const view = { journeys: [] }
    const {
      make,
      run: shown,
      progress: now,
    } = run(
      progress('QUEUED'),
      progress('RUNNING', { done: 40 }),
      progress('DONE', { done: 100, run: 7 }),
      view,
    )
    expect(await make(WISH)).toBe(7)
    expect(shown.value).toBe(view)
    expect(now.value).toBeNull()
    expect(answers.asked.at(-1)).toBe('/api/dry-runs/{id}')
  })

  it('that is cancelled leaves what was shown', async () => {
    const { make, run: shown } = run(progress('RUNNING'), progress('CANCELLED'))
    expect(await make(WISH)).toBeNull()
    expect(shown.value).toBeNull()
  })

  it('that fails says why', async () => {
    const { make, failure } = run(progress('FAILED', { failure: 'Out of bees.' }))
    expect(await make(WISH)).toBeNull()
    expect(failure.value).toBe('Out of bees.')
  })

  it('that is repeated keeps what was said of it', async () => {
    const said = 'Made again: every figure is the same.'
    const { repeat, progress: now } = run(progress('DONE', { run: 7, said }), { journeys: [] })
    expect(await repeat(7)).toBe(7)
    expect(now.value?.said).toBe(said)
  })
})
