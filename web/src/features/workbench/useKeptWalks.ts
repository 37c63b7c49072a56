import { computed, shallowRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import type { JourneyView, KeptWalkView } from '@/api/types'

/** The journey's kept walks that come out another way since its last change. */
export function useKeptWalks(view: () => JourneyView | null) {
  const kept = shallowRef<KeptWalkView[]>([])
  let newest = 0

  watch(
    () => [view()?.id, view()?.version],
    async ([id]) => {
      const number = ++newest
      if (id === undefined) return
      // Walks are an extra here: the walk screen says so when they cannot be had.
      const found = await answerOf(
        api.GET('/api/journeys/{id}/kept-walks', { params: { path: { id } } }),
      ).catch(() => [])
      if (number === newest) kept.value = found
    },
    { immediate: true },
  )

  return { changed: computed(() => kept.value.filter((one) => !one.same)) }
}
