import { computed, ref } from 'vue'
import { faultsOf } from './client'
import { useAttempt } from './useAttempt'

/**
 * A form that is filled in and sent: what is refused is told at its field, by the field's name in
 * what is sent; whatever belongs to no field is the failure.
 */
export function useForm() {
  const wrong = ref<Partial<Record<string, string>>>({})
  const { failure, busy, attempt } = useAttempt()
  const elsewhere = computed(() => (Object.keys(wrong.value).length ? null : failure.value))

  /** All of it in one line, for a form that has no room beneath its fields. */
  const told = computed(() => Object.values(wrong.value).join(' ') || elsewhere.value)

  /** Sends it; whether it was taken. */
  function send(work: () => Promise<unknown>): Promise<boolean> {
    wrong.value = {}
    return attempt(async () => {
      try {
        await work()
      } catch (reason) {
        wrong.value = faultsOf(reason)
        throw reason
      }
    })
  }

  return { wrong, failure: elsewhere, told, busy, send }
}
