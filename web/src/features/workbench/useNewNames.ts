import { useQuery } from '@tanstack/vue-query'
import { storeToRefs } from 'pinia'
import { computed } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useJourneyStore } from './journeyStore'

/** Names that the journey uses and that are not registered, and how they become so. */
export function useNewNames() {
  const { view } = storeToRefs(useJourneyStore())
  const asked = useQuery(() => ({
    ...questions.newNames(view.value?.id ?? 0, view.value?.version ?? 0),
    enabled: !!view.value,
  }))
  const newNames = computed(() => (view.value && asked.data.value) || [])

  async function register(): Promise<void> {
    await answerOf(
      api.POST('/api/journeys/{id}/new-names', { params: { path: { id: view.value!.id } } }),
    )
    await outdated('people')
  }

  return { newNames, register }
}
