import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope } from 'vue'
import type { SearchStand, SearchWish } from '@/api/types'
import { useSearch } from './useSearch'

const server = vi.hoisted(() => ({ answers: [] as unknown[], asked: [] as string[] }))

vi.mock('@/api/client', () => {
  class Refused extends Error {
    constructor(readonly problem: { status: number }) {
      super('refused')
    }
  }
  const answer = (how: string) => (path: string) => {
    server.asked.push(`${how} ${path}`)
    const next = server.answers.shift()
    return next === 404 ? Promise.reject(new Refused({ status: 404 })) : Promise.resolve(next)
  }
  return {
    Refused,
    api: {
      GET: answer('GET'),
      POST: answer('POST'),
      PUT: answer('PUT'),
      DELETE: answer('DELETE'),
    },
    answerOf: (asked: Promise<unknown>) => asked,
    reasonOf: (reason: unknown) => String(reason),
  }
})

const stand = (state: SearchStand['state'], change: Partial<SearchStand> = {}): SearchStand => ({
  job: 7,
  state,
  share: 0,
  secondsLeft: null,
  best: null,
  ahead: null,
  enough: false,
  failure: null,
  ...change,
})
const WISH = { vary: [] } as unknown as SearchWish
const KEPT = 'open-trellis.search-1-0'

let scope: EffectScope | null = null
afterEach(() => {
  scope?.stop()
  sessionStorage.clear()
})

function begun(...answers: unknown[]) {
  server.answers = answers
  server.asked = []
  scope = effectScope()
  return scope.run(() =>
    useSearch(
      () => 1,
      () => 0,
    ),
  )!
}

describe('a search', () => {
  it('is watched until it is over', async () => {
    const { search, stand: now, failure } = begun(stand('QUEUED'), stand('RUNNING'), stand('DONE'))
    await search(WISH)
    expect(now.value).toBeNull()
    expect(failure.value).toBeNull()
    expect(server.asked.filter((one) => one.startsWith('GET'))).toHaveLength(2)
  })

  it('is watched again after a reload', async () => {
    sessionStorage.setItem(KEPT, '7')
    const { stand: now } = begun(stand('RUNNING', { share: 0.4 }), stand('DONE'))
    await vi.waitFor(() => expect(now.value?.share).toBe(0.4))
    await vi.waitFor(() => expect(now.value).toBeNull())
  })

  it('says nothing of one that was forgotten meanwhile, and everything of one that failed', async () => {
    sessionStorage.setItem(KEPT, '7')
    const { failure } = begun(404)
    await vi.waitFor(() => expect(server.asked).toHaveLength(1))
    await Promise.resolve()
    expect(failure.value).toBeNull()
    scope?.stop()
    const second = begun(stand('FAILED', { failure: 'The disk is full.' }))
    await second.search(WISH)
    expect(second.failure.value).toBe('The disk is full.')
  })
})
