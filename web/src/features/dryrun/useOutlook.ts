import { refDebounced } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { RunWish } from './useRun'

/** Fewer people are through before one has read how long they take. */
const WORTH_ASKING = 100_000

const STILL_TYPING_MILLIS = 300

/** Where a run of many people would be made, and how long it would take. */
export function useOutlook(wish: () => RunWish | null) {
  const outlook = shallowRef<string | null>(null)
  const wanted = refDebounced(
    computed(() => {
      const now = wish()
      return now && now.cohort.people >= WORTH_ASKING ? JSON.stringify(now) : null
    }),
    STILL_TYPING_MILLIS,
  )
  watch(
    wanted,
    async (body) => {
      if (!body) {
        outlook.value = null
        return
      }
      const sentence = await answerOf(
        api.POST('/api/dry-runs/outlook', { body: JSON.parse(body) as RunWish }),
      ).then((answer) => answer.sentence, reasonOf)
      if (body === wanted.value) outlook.value = sentence
    },
    { immediate: true },
  )
  return outlook
}
