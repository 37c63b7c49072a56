import { computed, nextTick, ref } from 'vue'
import type { UnderstoodView } from '@/api/types'
import { findArm, findStep, placeAbove, START } from './edits'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import type { Sheet } from './useSheet'

/**
 * Typing on the run sheet: which line is being changed, and where a new one will stand.
 *
 * @param openDock puts the cursor into the field below the sheet, with what was typed already
 */
export function useWriting(sheet: Sheet, focusRow: () => void, openDock: (begin: string) => void) {
  const store = useJourneyStore()
  const selection = useSelection()
  const editing = ref<{ row: string; slot: number } | null>(null)
  const addAbove = ref(false)
  /** Where the next line comes after one that was typed, as long as nothing else is chosen. */
  const goesOn = ref<{ chosen: string; below: string } | null>(null)

  /** The row that a new line will stand below; null for the end of the sheet. */
  const below = computed(() => {
    const row = selection.selected
    if (!store.journey) return null
    if (goesOn.value && goesOn.value.chosen === row) return known(goesOn.value.below)
    if (!row) return null
    if (addAbove.value) return placeAbove(store.journey, row)
    if (sheet.foot.value.some((line) => line.id === row)) return null
    return sheet.selectedRow.value ? row : START
  })
  const place = computed(() => {
    if (below.value === null) return 'At the end'
    const row = addAbove.value ? sheet.selectedRow.value : rowOf(below.value)
    if (!row) return 'At the beginning'
    if (row.kind === 'ARM') return `In arm ${row.label}`
    const words = row.sentence.spans.map((span) => span.text).join('')
    return `${addAbove.value ? 'Above' : 'Below'} “${words}”`
  })

  function rowOf(id: string) {
    return sheet.rows.value.find((row) => row.id === id)
  }

  /** Null if there is no such row any more, or none was meant. */
  function known(row: string): string | null {
    return row === START || !store.journey
      ? row
      : findStep(store.journey, row) || findArm(store.journey, row)
        ? row
        : null
  }

  function edit(row: string | null, slot = 0): void {
    if (row === null || !sheet.typedOf(row)) return
    selection.select(row)
    editing.value = { row, slot }
  }

  function understood(result: UnderstoodView): void {
    store.edit('change sentence', () => result.journey, result.sheet)
    editing.value = null
    selection.select(result.selected)
    focusRow()
  }

  function leave(): void {
    editing.value = null
    focusRow()
  }

  function added(row: string, next: string): void {
    addAbove.value = false
    selection.select(row)
    goesOn.value = { chosen: row, below: next }
  }

  /** Writes at the chosen row, wherever the last line was. */
  function write(begin = '', above = false): void {
    const row = sheet.selectedRow.value
    goesOn.value = null
    addAbove.value = above && !!row && row.kind !== 'ARM'
    void nextTick(() => openDock(begin))
  }

  /** Another row was chosen: a new line stands below it again. */
  function chosenAnew(): void {
    addAbove.value = false
  }

  return { editing, below, place, edit, understood, leave, added, write, chosenAnew }
}

export type Writing = ReturnType<typeof useWriting>
