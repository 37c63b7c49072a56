import { useEventListener } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

/**
 * A form that is filled in beside what is saved: what comes from elsewhere shows as long as nothing
 * was changed, and leaving the page with changes asks first.
 *
 * @param saved what is saved, once it is known
 */
export function useDraft<T>(saved: Readonly<Ref<T | undefined>>) {
  const given = ref<T | null>(null) as Ref<T | null>
  /** What the changes began with. */
  const begun = ref('null')
  const changed = computed(() => JSON.stringify(given.value) !== begun.value)

  /** Begins with this anew. */
  function take(now: T): void {
    begun.value = JSON.stringify(now)
    given.value = JSON.parse(begun.value) as T
  }

  watch(saved, (now) => now && !changed.value && take(now), { immediate: true })
  useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
    if (changed.value) event.preventDefault()
  })

  return { given, changed, take }
}
