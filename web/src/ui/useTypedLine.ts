import { useDebounceFn } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, useTemplateRef, type Ref } from 'vue'
import { reasonOf } from '@/api/client'
import type { Completion, Suggestion } from '@/api/types'
import { offered, taken, useActive, type Way } from './waysToGoOn'

/** So many ways to go on are offered at once. */
const OFFERED = 8

/** What the server makes of a text. */
interface Reading {
  completions: Completion[]
}

/**
 * A line that the server reads while it is typed; the newest answer counts.
 *
 * @param ask what is read of a text with the caret at a place in it
 * @param pauseMillis keeps typing light
 */
export function useReadWhileTyped<V extends Reading>(
  begun: string,
  ask: (text: string, caret: number) => Promise<V>,
  pauseMillis: number,
) {
  const text = ref(begun)
  const caret = ref(begun.length)
  const last = shallowRef<{ text: string; view: V } | null>(null)
  const trouble = ref<string | null>(null)
  let newest = 0

  async function read(): Promise<V | null> {
    const number = ++newest
    const asked = text.value
    try {
      const view = await ask(asked, caret.value)
      if (number === newest) {
        last.value = { text: asked, view }
        trouble.value = null
      }
      return view
    } catch (failure) {
      if (number === newest) trouble.value = reasonOf(failure)
      return null
    }
  }

  /** What was read, if it is what stands there now. */
  const view = computed(() => (last.value?.text === text.value ? last.value.view : null))
  const completions = computed<Completion[]>(() =>
    (view.value?.completions ?? [])
      .filter((one) => text.value.slice(one.from, caret.value) !== one.text)
      .slice(0, OFFERED),
  )

  return {
    text,
    caret,
    view,
    completions,
    trouble,
    read,
    readSoon: useDebounceFn(read, pauseMillis),
  }
}

type Line<V extends Reading> = ReturnType<typeof useReadWhileTyped<V>>

/**
 * The ways to go on below such a line, in the field whose template reference is "field": what the
 * arrow keys and Tab do.
 *
 * @param wrong what is to be mended first; its corrections take the place of the ways to go on
 */
export function useWaysBelow<V extends Reading>(
  { text, caret, view, completions, read }: Line<V>,
  wrong: Readonly<Ref<{ offers: Suggestion[] } | null>>,
) {
  const field = useTemplateRef<HTMLInputElement | HTMLTextAreaElement>('field')
  const focused = ref(false)
  const closed = ref(false)
  const ways = computed<Way[]>(() =>
    wrong.value?.offers.length ? offered(wrong.value.offers, 'correction') : completions.value,
  )
  const { active, move } = useActive(ways)
  const open = computed(
    () => focused.value && !closed.value && text.value.trim() !== '' && ways.value.length > 0,
  )

  function onCaret() {
    caret.value = field.value?.selectionStart ?? text.value.length
  }

  async function take(way: Way) {
    const after = taken(way, text.value, caret.value)
    text.value = after.text
    await nextTick()
    field.value?.focus()
    field.value?.setSelectionRange(after.caret, after.caret)
    onCaret()
    await read()
  }

  /** The way that Enter takes. */
  function chosen(): Way | undefined {
    return open.value ? ways.value[active.value] : undefined
  }

  /** Takes the first way to go on, also if what was typed has not been read yet. */
  async function onTab(event: KeyboardEvent) {
    if (event.shiftKey || text.value.trim() === '' || (view.value && !open.value)) return
    event.preventDefault()
    if (!view.value) await read()
    const first = open.value ? ways.value[Math.max(0, active.value)] : undefined
    if (first) void take(first)
  }

  return { field, focused, closed, ways, active, move, open, onCaret, take, chosen, onTab }
}
