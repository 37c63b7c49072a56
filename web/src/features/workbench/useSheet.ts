import { replaceEqualDeep } from '@tanstack/vue-query'
import { storeToRefs } from 'pinia'
import { computed } from 'vue'
import type { Phrase, Row, SheetLine } from '@/api/types'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import { useFolding } from './useFolding'

/** Rows that say what they said before stay the objects they were, so that nothing draws them again. */
function keepSame(before: Row[] | undefined, now: Row[]): Row[] {
  const known = new Map(before?.map((row) => [row.id, row]))
  return now.map((row) => replaceEqualDeep(known.get(row.id), row))
}

/** The lines of the run sheet, from the trigger to the goal, and which of them is the current one. */
export function useSheet() {
  const store = useJourneyStore()
  const { view } = storeToRefs(store)
  const { selected } = storeToRefs(useSelection())

  const rows = computed<Row[]>((before) => keepSame(before, view.value?.sheet.rows ?? []))
  const folding = useFolding(() => view.value?.id, rows)

  /** The lines above the steps. */
  const head = computed<SheetLine[]>(() => {
    const sheet = view.value?.sheet
    return sheet && !store.ofStrand ? [sheet.opening, ...sheet.rules] : []
  })
  /** The lines below the steps. */
  const foot = computed<SheetLine[]>(() => {
    const sheet = view.value?.sheet
    return sheet && !store.ofStrand ? [sheet.goal, ...sheet.secondaryGoals] : []
  })
  /** Everything that the arrow keys go through. */
  const stops = computed(() =>
    [...head.value, ...folding.shown.value.rows, ...foot.value].map((line) => line.id),
  )
  const current = computed<string | null>(() =>
    selected.value !== null && stops.value.includes(selected.value)
      ? selected.value
      : (stops.value[0] ?? null),
  )
  const selectedRow = computed(() => rows.value.find((row) => row.id === selected.value))
  const arrangeable = computed(() => !!selectedRow.value && !selectedRow.value.ofStrand)
  const stepCount = computed(() => rows.value.filter((row) => row.kind !== 'ARM').length)

  function kindOf(row: string | null): Row['kind'] | undefined {
    return rows.value.find((one) => one.id === row)?.kind
  }

  /** The stop above one. */
  function neighbourOf(id: string): string | null {
    return stops.value[stops.value.indexOf(id) - 1] ?? null
  }

  /** What a line says in the words that are typed; null if it cannot be typed. */
  function typedOf(id: string | null): Phrase | null {
    const all = [...head.value, ...rows.value, ...foot.value]
    const typed = all.find((one) => one.id === id)?.typed
    return typed && typed.spans.length > 0 ? typed : null
  }

  return {
    rows,
    head,
    foot,
    stops,
    current,
    selectedRow,
    arrangeable,
    stepCount,
    kindOf,
    neighbourOf,
    typedOf,
    ...folding,
  }
}

export type Sheet = ReturnType<typeof useSheet>
