import { ref, shallowRef, toValue, watch, type MaybeRefOrGetter } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { BehaviourDocument, CohortPlan, PreviewView } from '@/api/types'

/** What changed assumptions would make of a run; asked again whenever one of them changes. */
export function usePreview(
  run: MaybeRefOrGetter<{ id: number; number: number } | null>,
  assumed: MaybeRefOrGetter<{ cohort: CohortPlan; behaviour: BehaviourDocument } | null>,
) {
  const preview = shallowRef<PreviewView | null>(null)
  const failure = ref<string | null>(null)
  let asked = 0

  watch(
    [() => toValue(run), () => toValue(assumed)],
    async ([of, body]) => {
      const mine = ++asked
      if (!of || !body) {
        preview.value = null
        return
      }
      await new Promise((done) => setTimeout(done, 150))
      if (mine !== asked) return
      try {
        const params = { path: { id: of.id }, query: { number: of.number } }
        const answer = await answerOf(api.POST('/api/dry-runs/{id}/previews', { params, body }))
        if (mine === asked) preview.value = answer
        failure.value = null
      } catch (reason) {
        if (mine === asked) failure.value = reasonOf(reason)
      }
    },
    { immediate: true },
  )

  return { preview, failure }
}
