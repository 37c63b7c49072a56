import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { useJourneyStore } from './journeyStore'

/** What is chosen and pointed at: the same in run sheet, trellis and step panel. */
export const useSelection = defineStore('selection', () => {
  const document = useJourneyStore()
  const selected = ref<string | null>(null)
  /** The other end of the chosen rows; the same as {@link selected} if one is chosen. */
  const rangeStart = ref<string | null>(null)
  /** The row or mark that is pointed at; the others show which it is. */
  const hovered = ref<string | null>(null)

  function select(step: string | null): void {
    selected.value = step
    rangeStart.value = step
  }

  /** Chooses several rows, from the first to the last of them. */
  function choose(rows: string[]): void {
    rangeStart.value = rows[0] ?? null
    selected.value = rows.at(-1) ?? null
  }

  /** Chooses all rows from where the choice began to this one. */
  function extendTo(row: string): void {
    rangeStart.value ??= row
    selected.value = row
  }

  /** The chosen rows, in their order; the lines about the whole journey are chosen one at a time. */
  const chosen = computed<string[]>(() => {
    const here = selected.value
    if (here === null) return []
    const ids = document.view?.sheet.rows.map((row) => row.id) ?? []
    const ends = [ids.indexOf(rangeStart.value ?? here), ids.indexOf(here)].sort((a, b) => a - b)
    return ends[0]! < 0 ? [here] : ids.slice(ends[0], ends[1]! + 1)
  })

  return { selected, hovered, chosen, select, choose, extendTo }
})
