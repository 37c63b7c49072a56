import { useDebounceFn } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { WhoView } from '@/api/types'

/** Keeps typing light. */
const PAUSE_MILLIS = 120

/** Lets the server read a sentence about people while it is typed; the newest answer counts. */
export function useWho() {
  const last = shallowRef<{ text: string; view: WhoView } | null>(null)
  const trouble = ref<string | null>(null)
  let newest = 0

  async function read(text: string, caret: number): Promise<void> {
    const number = ++newest
    try {
      const view = await answerOf(api.POST('/api/people/readings', { body: { text, caret } }))
      if (number !== newest) return
      last.value = { text, view }
      trouble.value = null
    } catch (failure) {
      if (number === newest) trouble.value = reasonOf(failure)
    }
  }

  const readSoon = useDebounceFn(read, PAUSE_MILLIS)

  return { last, trouble, read, readSoon }
}
