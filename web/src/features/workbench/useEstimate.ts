import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import { useJourneyStore } from './journeyStore'

/** The newest estimate of the open journey; the one before stays until it is there. */
export function useEstimate() {
  const store = useJourneyStore()
  const asked = useQuery(() => ({
    ...questions.estimate(
      store.view?.id ?? 0,
      store.view?.version ?? 0,
      store.view?.behaviourVersion ?? 0,
    ),
    enabled: !!store.view && !store.ofStrand,
  }))
  return {
    estimate: computed(() => (store.view ? (asked.data.value?.measures ?? null) : null)),
    /** Where nobody of it gets to. */
    nobody: computed(() => (store.view ? (asked.data.value?.nobody ?? []) : [])),
    /** Why there is none of the journey as it is now, if there is none. */
    noEstimate: computed(() => (asked.error.value ? reasonOf(asked.error.value) : null)),
    estimateAgain: () => asked.refetch(),
  }
}
