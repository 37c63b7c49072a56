import { computed, shallowRef } from 'vue'

interface Edit<T> {
  name: string
  before: T
  after: T
}

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

  function forget(): void {
    done.value = []
    undone.value = []
  }

  return {
    add,
    undo,
    redo,
    forget,
    canUndo: computed(() => done.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    undoName: computed(() => done.value.at(-1)?.name ?? ''),
    redoName: computed(() => undone.value.at(-1)?.name ?? ''),
  }
}
