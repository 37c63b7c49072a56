import { StorageSerializers, useEventListener, useStorage } from '@vueuse/core'
import { computed, ref, watch, type Ref } from 'vue'

/** What was being changed when its page was left: as it was then, and what the changes began with. */
interface Left<T> {
  given: T
  begun: string
}

/**
 * A form that is filled in beside what is saved: what comes from elsewhere shows as long as nothing
 * was changed. Whoever leaves the page and comes back finds the changes there; closing it asks first.
 *
 * @param saved what is saved, once it is known
 * @param place a name of its own, under which changes are kept in this tab
 */
export function useDraft<T>(saved: Readonly<Ref<T | undefined>>, place: string) {
  const left = useStorage<Left<T> | null>(`open-trellis.draft.${place}`, null, sessionStorage, {
    serializer: StorageSerializers.object,
  })
  const given = ref(left.value?.given ?? null) as Ref<T | null>
  /** What the changes began with. */
  const begun = ref(left.value?.begun ?? 'null')
  const now = computed(() => JSON.stringify(given.value))
  const changed = computed(() => now.value !== begun.value)

  /** Begins with this anew; what was changed since, if anything was, stays changed. */
  function take(from: T, since: T = from): void {
    begun.value = JSON.stringify(from)
    given.value = JSON.parse(JSON.stringify(since)) as T
  }

  watch(saved, (is) => is && !changed.value && take(is), { immediate: true })
  watch([now, begun], () => {
    left.value = changed.value ? { given: JSON.parse(now.value) as T, begun: begun.value } : null
  })
  useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
    if (changed.value) event.preventDefault()
  })

  return { given, changed, take }
}
