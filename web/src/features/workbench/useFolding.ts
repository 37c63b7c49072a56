import { useStorage } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import type { Row } from '@/api/types'

/** Which branches are folded, by journey. Kept in the browser, so that a reload finds them so. */
const kept = useStorage<Record<string, string[]>>('open-trellis.folded', {})

export function useFolding(journey: () => number | undefined, rows: Ref<Row[]>) {
  const folded = computed(() => new Set(kept.value[journey() ?? ''] ?? []))

  function setFolded(branches: string[]): void {
    kept.value = { ...kept.value, [journey() ?? '']: branches }
  }

  function foldable(row: Row): boolean {
    return row.kind === 'BRANCH' || row.kind === 'SPLIT'
  }

  function toggle(branch: string): void {
    const now = folded.value
    setFolded(now.has(branch) ? [...now].filter((id) => id !== branch) : [...now, branch])
  }

  function foldAll(all: boolean): void {
    setFolded(all ? rows.value.filter(foldable).map((row) => row.id) : [])
  }

  /** How many steps a folded branch hides, and the rows that are left to see. */
  const shown = computed(() => {
    const seen: Row[] = []
    const hidden = new Map<string, number>()
    let closed: Row | null = null
    for (const row of rows.value) {
      if (closed && row.depth > closed.depth) {
        if (row.kind !== 'ARM') hidden.set(closed.id, hidden.get(closed.id)! + 1)
        continue
      }
      closed = foldable(row) && folded.value.has(row.id) ? row : null
      if (closed) hidden.set(closed.id, 0)
      seen.push(row)
    }
    return { rows: seen, hidden }
  })

  /** Unfolds what hides a row. */
  function reveal(id: string): void {
    if (shown.value.rows.some((row) => row.id === id)) return
    const at = rows.value.findIndex((row) => row.id === id)
    if (at < 0) return
    let depth = rows.value[at]!.depth
    const around: string[] = []
    for (const row of rows.value.slice(0, at).reverse()) {
      if (row.depth < depth) {
        depth = row.depth
        around.push(row.id)
      }
    }
    setFolded([...folded.value].filter((branch) => !around.includes(branch)))
  }

  return { folded, shown, toggle, foldAll, reveal }
}
