import { ref, shallowRef, watch } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { WhatMatters } from '@/api/types'

/** What moves the goal of a run most; null until it is known, and why if it is not to be had. */
export function useWhatMatters(run: () => number, number: () => number) {
  const matters = shallowRef<WhatMatters | null>(null)
  const failure = ref<string | null>(null)
  let asked = 0

  async function look() {
    const mine = ++asked
    matters.value = null
    failure.value = null
    const params = { path: { id: run() }, query: { number: number() } }
    try {
      const found = await answerOf(api.GET('/api/dry-runs/{id}/what-matters', { params }))
      if (mine === asked) matters.value = found
    } catch (reason) {
      if (mine === asked) failure.value = reasonOf(reason)
    }
  }

  watch([run, number], look, { immediate: true })
  return { matters, failure, again: look }
}
