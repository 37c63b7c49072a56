import { computed, nextTick, ref, type InjectionKey, type Ref } from 'vue'
import { useManuscript } from './manuscriptStore'
import {
  allParts,
  freshIds,
  inserted,
  listsIn,
  moved,
  nudged,
  renewed,
  spotOf,
  without,
  type Place,
} from './parts'
import { copyParts, pastedParts } from './partsClipboard'
import { useDragParts } from './useDragParts'

export type Rows = ReturnType<typeof useRows>
export const ROWS: InjectionKey<Rows> = Symbol('rows')

/**
 * Going through the parts of a manuscript and doing things to them, by keys, menu and mouse.
 *
 * @param write puts the caret into the line in which the next part is typed
 * @param reasons why parts stand there, as a starter says
 */
export function useRows(write: () => void, reasons: Readonly<Ref<Record<string, string>>>) {
  const store = useManuscript()
  const editing = ref(false)
  /** Whether the chosen row takes the keys; not while something else was typed into. */
  const follows = ref(false)
  /** Grows with each thing that is done: the chosen row takes the keys again, wherever it is now. */
  const acted = ref(0)
  const folded = ref(new Set<string>())
  /** A list inside of a part into which the next one is written. */
  const into = ref<{ inside: string; list: number } | null>(null)
  const trouble = ref<string | null>(null)

  const parts = computed(() => store.email?.parts ?? [])
  const shown = computed(() => {
    const seen = (list: typeof parts.value): string[] =>
      list.flatMap((part) => [
        part.id,
        ...(folded.value.has(part.id) ? [] : listsIn(part).flatMap(seen)),
      ])
    return seen(parts.value)
  })
  /** Where the next part comes: below the chosen one, or at the end. */
  const place = computed<Place>(
    () => into.value ?? { behind: store.selected ?? parts.value.at(-1)?.id ?? null },
  )
  const drag = useDragParts((id, to) => {
    store.editParts('moved a part', (list) => moved(list, id, to))
    choose(id)
  })

  function choose(id: string | null): void {
    follows.value = true
    into.value = null
    if (store.selected !== id) editing.value = false
    store.selected = id
  }

  function edit(id: string): void {
    choose(id)
    const part = allParts(parts.value).find((one) => one.id === id)
    editing.value = !!part && part.kind !== 'rule' && part.kind !== 'columns'
  }

  function leave(): void {
    editing.value = false
    follows.value = true
  }

  function below(): void {
    editing.value = false
    follows.value = false
    write()
  }

  function inside(part: string, list: number): void {
    store.selected = part
    editing.value = false
    follows.value = false
    into.value = { inside: part, list }
    write()
  }

  function go(by: number): void {
    const at = store.selected ? shown.value.indexOf(store.selected) : -1
    const next = shown.value[Math.min(shown.value.length - 1, Math.max(0, at + by))]
    if (next) choose(next)
  }

  function remove(id: string): void {
    const at = shown.value.indexOf(id)
    const inner = allParts(parts.value).find((part) => part.id === id)
    const gone = inner ? allParts([inner]).map((part) => part.id) : [id]
    const left = shown.value.filter((one) => !gone.includes(one))
    store.editParts('removed a part', (list) => without(list, [id]))
    choose(left[Math.min(at, left.length - 1)] ?? null)
  }

  function duplicate(id: string): void {
    const spot = spotOf(parts.value, id)
    if (!spot) return
    const [copy] = renewed([spot.list[spot.index]!], freshIds(parts.value))
    store.editParts('duplicated a part', (list) => inserted(list, [copy!], { behind: id }))
    choose(copy!.id)
  }

  function copy(id: string): void {
    const part = allParts(parts.value).find((one) => one.id === id)
    if (part) void copyParts([part])
  }

  async function paste(id: string): Promise<void> {
    trouble.value = null
    const found = await pastedParts(freshIds(parts.value))
    if (!found.length) {
      trouble.value = 'There is nothing to paste: copy a part, a page or a document first.'
      return
    }
    store.editParts('pasted', (list) => inserted(list, found, { behind: id }))
    choose(found.at(-1)!.id)
  }

  function fold(id: string, closed: boolean): void {
    const next = new Set(folded.value)
    if (closed) next.add(id)
    else next.delete(id)
    folded.value = next
  }

  const ACTS: Record<string, (id: string) => void> = {
    edit,
    below: (id) => {
      choose(id)
      below()
    },
    duplicate,
    up: (id) => store.editParts('moved a part', (list) => nudged(list, id, -1)),
    down: (id) => store.editParts('moved a part', (list) => nudged(list, id, 1)),
    copy,
    cut: (id) => {
      copy(id)
      remove(id)
    },
    paste: (id) => void paste(id),
    remove,
  }

  function act(what: string, id: string): void {
    ACTS[what]?.(id)
    void nextTick(() => {
      follows.value = what !== 'below'
      acted.value++
    })
  }

  function keyName(event: KeyboardEvent): string | null {
    const ctrl = event.ctrlKey || event.metaKey
    const key = event.key.toLowerCase()
    if (event.altKey) return { arrowup: 'up', arrowdown: 'down' }[key] ?? null
    if (ctrl) {
      return { enter: 'below', d: 'duplicate', c: 'copy', x: 'cut', v: 'paste' }[key] ?? null
    }
    return { enter: 'edit', delete: 'remove', backspace: 'remove' }[key] ?? null
  }

  function onKey(event: KeyboardEvent, id: string): void {
    const what = keyName(event)
    if (what) act(what, id)
    else if (event.key === 'ArrowDown') go(1)
    else if (event.key === 'ArrowUp') go(-1)
    else if (event.key === 'Home') go(-shown.value.length)
    else if (event.key === 'End') go(shown.value.length)
    else if (event.key === 'ArrowLeft') fold(id, true)
    else if (event.key === 'ArrowRight') fold(id, false)
    else return
    event.preventDefault()
    event.stopPropagation()
  }

  return {
    editing,
    follows,
    acted,
    folded,
    into,
    place,
    trouble,
    reasons,
    drag,
    landing: drag.landing,
    choose,
    edit,
    leave,
    below,
    inside,
    act,
    onKey,
  }
}
