import { useDebounceFn } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { PartView } from '@/api/types'

/** Keeps typing light. */
const PAUSE_MILLIS = 80

/** Lets the server read a part while it is typed; the newest answer counts. */
export function usePartReading() {
  const last = shallowRef<{ text: string; view: PartView } | null>(null)
  const trouble = ref<string | null>(null)
  let newest = 0

  async function read(text: string, caret: number, id: string): Promise<PartView | null> {
    const number = ++newest
    try {
      const view = await answerOf(api.POST('/api/parts/readings', { body: { text, caret, id } }))
      if (number === newest) {
        last.value = { text, view }
        trouble.value = null
      }
      return view
    } catch (failure) {
      if (number === newest) trouble.value = reasonOf(failure)
      return null
    }
  }

  return { last, trouble, read, readSoon: useDebounceFn(read, PAUSE_MILLIS) }
}
