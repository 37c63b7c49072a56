import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import type { JourneyView } from '@/api/types'

/** The journey's kept walks that come out another way since its last change. */
export function useKeptWalks(view: () => JourneyView | null) {
  // Walks are an extra here: the walk screen says so when they cannot be had.
  const { data } = useQuery(() => ({
    ...questions.keptWalks(view()?.id ?? 0, view()?.version ?? 0),
    enabled: (view()?.id ?? 0) > 0,
  }))
  return { changed: computed(() => data.value?.filter((one) => !one.same) ?? []) }
}
