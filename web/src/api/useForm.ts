import { computed, ref } from 'vue'
import { faultsOf, NO_FAULTS, type Faults } from './client'
import { useAttempt } from './useAttempt'

/**
 * A form that is filled in and sent: what is refused is told at its field; whatever belongs to none
 * of its fields is the failure.
 *
 * @param fields what can tell at its place what is wrong with it, by the way to it in what is sent
 */
export function useForm(...fields: string[]) {
  const faults = ref<Faults>(NO_FAULTS)
  const { busy, attempt } = useAttempt()
  const wrong = computed(() => faults.value.wrong)
  const failure = computed(() => faults.value.elsewhere)

  /** All of it in one line, for a form that has no room beneath its fields. */
  const told = computed(
    () => [...Object.values(wrong.value), failure.value].filter(Boolean).join(' ') || null,
  )

  /** What was refused is no longer there. */
  function forget() {
    faults.value = NO_FAULTS
  }

  /** Sends it; whether it was taken. */
  function send(work: () => Promise<unknown>): Promise<boolean> {
    forget()
    return attempt(async () => {
      try {
        await work()
      } catch (reason) {
        faults.value = faultsOf(reason, fields)
        throw reason
      }
    })
  }

  return { wrong, failure, told, busy, send, forget }
}
