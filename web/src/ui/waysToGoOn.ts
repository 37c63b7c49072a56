import { ref, watch, type Ref } from 'vue'
import type { Completion, Suggestion } from '@/api/types'

/** What a key takes: an answer to a question, a correction, or a way to go on. */
export interface Way extends Completion {
  /** The whole text once it is taken, if it does not only go on at the caret. */
  whole?: string
}

/** Whole texts that are offered in place of what was typed. */
export function offered(offers: Suggestion[], what: string): Way[] {
  return offers.map((one) => ({ text: one.says, from: 0, what, whole: one.text }))
}

/** The text once a way is taken, and where the caret stands then: behind a space, to go on. */
export function taken(way: Way, text: string, caret: number): { text: string; caret: number } {
  if (way.whole !== undefined) return { text: way.whole, caret: way.whole.length }
  const rest = text.slice(caret)
  const put = way.text + (rest.startsWith(' ') || /[\s(]$/.test(way.text) ? '' : ' ')
  return { text: text.slice(0, way.from) + put + rest, caret: way.from + put.length }
}

/** Which of the ways the arrow keys are at; -1 for none, which comes before the first again. */
export function useActive(ways: Ref<Way[]>) {
  const active = ref(-1)
  watch(ways, () => (active.value = -1))

  function move(by: 1 | -1): void {
    const many = ways.value.length
    active.value = (active.value + by + many + 1) % (many + 1)
    if (active.value === many) active.value = -1
  }

  return { active, move }
}
