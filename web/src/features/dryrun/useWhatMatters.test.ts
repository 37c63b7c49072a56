import { describe, expect, it, vi } from 'vitest'
import { flushPromises } from '@vue/test-utils'
import { ref } from 'vue'
import { within } from '@/testing'
import { useWhatMatters } from './useWhatMatters'

const answers: { run: number; answer: (found: unknown) => void; refuse: (why: Error) => void }[] =
  []

vi.mock('@/api/client', async (original) => ({
  ...(await original<object>()),
  api: {
    GET: (_: string, { params }: { params: { path: { id: number } } }) =>
      new Promise((answer, refuse) => answers.push({ run: params.path.id, answer, refuse })),
  },
  answerOf: (asked: Promise<unknown>) => asked,
  reasonOf: (failure: Error) => failure.message,
}))

function looking(run: () => number) {
  answers.length = 0
  return within(() => useWhatMatters(run, () => 0))
}

const settled = flushPromises

describe('what matters', () => {
  it('says why it is not to be had, and looks again when asked', async () => {
    const { matters, failure, again } = looking(() => 1)
    answers[0]!.refuse(new Error('The run is gone.'))
    await settled()
    expect(failure.value).toBe('The run is gone.')

    void again()
    await settled()
    answers[1]!.answer({ rows: [] })
    await settled()
    expect(matters.value).toEqual({ rows: [] })
  })

  it('forgets an answer about a run that is no longer shown', async () => {
    const run = ref(1)
    const { matters } = looking(() => run.value)
    run.value = 2
    await settled()
    answers[1]!.answer({ rows: ['second'] })
    answers[0]!.answer({ rows: ['first'] })
    await settled()
    expect(answers.map((one) => one.run)).toEqual([1, 2])
    expect(matters.value).toEqual({ rows: ['second'] })
  })
})
