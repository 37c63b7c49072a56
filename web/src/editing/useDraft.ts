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
 * @param shown what of it can be seen; all, unless said otherwise
 */
export function useDraft<T>(
  saved: Readonly<Ref<T | undefined>>,
  place: string,
  shown: (of: T) => unknown = (all) => all,
) {
  const left = useStorage<Left<T> | null>(`open-trellis.draft.${place}`, null, sessionStorage, {
    serializer: StorageSerializers.object,
  })
  const given = ref(left.value?.given ?? null) as Ref<T | null>
  /** What the changes began with. */
  const begun = ref(left.value?.begun ?? 'null')
  const now = computed(() => JSON.stringify(given.value))
  /** How often what is shown was replaced by something else. */
  const taken = ref(0)
  const changed = computed(() => now.value !== begun.value)

  /** Begins with this anew; what was changed since, if anything was, stays changed. */
  function take(from: T, since: T = from): void {
    begun.value = JSON.stringify(from)
    const before = given.value && JSON.stringify(shown(given.value))
    given.value = JSON.parse(JSON.stringify(since)) as T
    if (JSON.stringify(shown(since)) !== before) taken.value++
  }

  watch(saved, (is) => is && !changed.value && take(is), { immediate: true })
  watch([now, begun], () => {
    left.value = changed.value ? { given: JSON.parse(now.value) as T, begun: begun.value } : null
  })
  useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
    if (changed.value) event.preventDefault()
  })

  return { given, changed, taken, take }
}
