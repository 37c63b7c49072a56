import { computed, ref, type Ref } from 'vue'
import { reasonOf } from './client'

/**
 * What a component tries, and why the last try, or one of its questions, failed.
 *
 * @param questions the errors of what it asks the server
 */
export function useAttempt(...questions: Readonly<Ref<unknown>>[]) {
  const refused = ref<string | null>(null)
  const busy = ref(false)

  const failure = computed(() => {
    const unanswered = questions.find((error) => error.value)
    return refused.value ?? (unanswered ? reasonOf(unanswered.value) : null)
  })

  /** Tries something; whether it went well. */
  async function attempt(work: () => Promise<unknown>): Promise<boolean> {
    refused.value = null
    busy.value = true
    try {
      await work()
      return true
    } catch (reason) {
      refused.value = reasonOf(reason)
      return false
    } finally {
      busy.value = false
    }
  }

  return { failure, busy, attempt }
}
