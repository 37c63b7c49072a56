import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { BehaviourDocument, CohortPlan } from '@/api/types'

/** What changed assumptions would make of a run; asked again whenever one of them changes. */
export function usePreview(
  run: MaybeRefOrGetter<{ id: number; number: number } | null>,
  assumed: MaybeRefOrGetter<{ cohort: CohortPlan; behaviour: BehaviourDocument } | null>,
) {
  const wanted = refDebounced(
    computed(() => {
      const of = toValue(run)
      const body = toValue(assumed)
      return of && body ? { of, body } : null
    }),
    150,
  )
  const asked = useQuery(() => ({
    ...questions.preview(
      wanted.value?.of.id ?? 0,
      wanted.value?.of.number ?? 0,
      wanted.value?.body as { cohort: CohortPlan; behaviour: BehaviourDocument },
    ),
    enabled: !!wanted.value,
  }))

  return {
    preview: computed(() =>
      toValue(run) && !asked.error.value ? (asked.data.value ?? null) : null,
    ),
    failure: computed(() => (asked.error.value ? reasonOf(asked.error.value) : null)),
  }
}
