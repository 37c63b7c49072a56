import { afterEach, describe, expect, it, vi } from 'vitest'
import { effectScope, type EffectScope, nextTick, ref } from 'vue'
import { useOutlook } from './useOutlook'

const server = vi.hoisted(() => ({ asked: 0, answer: (): Promise<unknown> => Promise.resolve() }))

vi.mock('@/api/client', () => ({
  api: {
    POST: () => {
      server.asked++
      return server.answer()
    },
  },
  answerOf: (asked: Promise<unknown>) => asked,
  reasonOf: (reason: unknown) => (reason as Error).message,
}))

let scope: EffectScope | null = null
afterEach(() => {
  scope?.stop()
  server.asked = 0
  vi.useRealTimers()
})

function outlookFor(people: number) {
  vi.useFakeTimers()
  const some = ref(people)
  scope = effectScope()
  const outlook = scope.run(() =>
    useOutlook(() => ({
      journeys: [1],
      cohort: { people: some.value } as never,
      cohortId: null,
      seed: 1,
      horizonDays: 60,
    })),
  )!
  return { some, outlook }
}

async function typed() {
  await nextTick()
  await vi.advanceTimersByTimeAsync(400)
}

describe('what a run will be like', () => {
  it('is not asked for a few people', async () => {
    const { outlook } = outlookFor(20_000)
    await typed()
    expect(server.asked).toBe(0)
    expect(outlook.value).toBeNull()
  })

  it('is told for many, once they have been typed', async () => {
    server.answer = () => Promise.resolve({ sentence: 'It will take some 20 seconds.' })
    const { some, outlook } = outlookFor(20_000)
    some.value = 100_000
    await nextTick()
    some.value = 1_000_000
    await typed()
    expect(server.asked).toBe(1)
    expect(outlook.value).toBe('It will take some 20 seconds.')
    some.value = 100
    await typed()
    expect(outlook.value).toBeNull()
  })

  it('says why a run is not made at all', async () => {
    server.answer = () => Promise.reject(new Error('This machine takes 10,000,000 people.'))
    const { outlook } = outlookFor(20_000_000)
    await typed()
    expect(outlook.value).toBe('This machine takes 10,000,000 people.')
  })
})
