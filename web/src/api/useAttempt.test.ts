import { describe, expect, it } from 'vitest'
import { ref } from 'vue'
import { useAttempt } from './useAttempt'

describe('an attempt', () => {
  it('says why it failed until the next one is made', async () => {
    const { failure, attempt } = useAttempt()
    expect(await attempt(() => Promise.reject(new Error('The name is taken.')))).toBe(false)
    expect(failure.value).toBe('The name is taken.')
    expect(await attempt(() => Promise.resolve(1))).toBe(true)
    expect(failure.value).toBeNull()
  })

  it('stands before an unanswered question, which is told too', async () => {
    const question = ref<Error | null>(new Error('Nobody answers.'))
    const { failure, attempt } = useAttempt(ref(null), question)
    expect(failure.value).toBe('Nobody answers.')
    await attempt(() => Promise.reject(new Error('Refused.')))
    expect(failure.value).toBe('Refused.')
    question.value = null
    await attempt(() => Promise.resolve())
    expect(failure.value).toBeNull()
  })
})
