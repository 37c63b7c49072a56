import { computed, shallowRef } from 'vue'
import { writeNow, writeSoon } from './writtenSoon'

interface Edit<T> {
  name: string
  before: T
  after: T
}

interface Kept<T> {
  done: Edit<T>[]
  undone: Edit<T>[]
}

/** So many edits outlast a reload of the page. */
const KEPT = 50

/** Edits that were done and undone, each by name. Knows nothing of what they change. */
export function useHistory<T>() {
  const done = shallowRef<Edit<T>[]>([])
  const undone = shallowRef<Edit<T>[]>([])

  function add(name: string, before: T, after: T): void {
    done.value = [...done.value, { name, before, after }]
    undone.value = []
  }

  /** Takes the last edit back; gives what was there before it, or null if there is none. */
  function undo(): T | null {
    const last = done.value.at(-1)
    if (!last) return null
    done.value = done.value.slice(0, -1)
    undone.value = [...undone.value, last]
    return last.before
  }

  /** Does again what was taken back; gives what was there after it, or null if there is none. */
  function redo(): T | null {
    const next = undone.value.at(-1)
    if (!next) return null
    undone.value = undone.value.slice(0, -1)
    done.value = [...done.value, next]
    return next.after
  }

  /** Keeps the last edits in this tab soon, so that they can be taken back after a reload. */
  function keep(key: string): void {
    writeSoon(key, () => keepNow(key))
  }

  function keepNow(key: string): void {
    const edits: Kept<T> = { done: done.value.slice(-KEPT), undone: undone.value.slice(-KEPT) }
    try {
      sessionStorage.setItem(key, JSON.stringify(edits))
    } catch {
      // Too much for the browser: the versions still have every save.
      sessionStorage.removeItem(key)
    }
  }

  /** Brings back what was kept, if it leads to what is there now. */
  function recall(key: string, isNow: (state: T) => boolean): void {
    writeNow()
    const text = sessionStorage.getItem(key)
    if (!text) return
    const edits = JSON.parse(text) as Kept<T>
    const last = edits.done.at(-1)?.after ?? edits.undone.at(-1)?.before
    if (last === undefined || !isNow(last)) return
    done.value = edits.done
    undone.value = edits.undone
  }

  function forget(): void {
    writeNow()
    done.value = []
    undone.value = []
  }

  return {
    add,
    undo,
    redo,
    forget,
    keep,
    recall,
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    undoName: computed(() => done.value.at(-1)?.name ?? ''),
    redoName: computed(() => undone.value.at(-1)?.name ?? ''),
  }
}
