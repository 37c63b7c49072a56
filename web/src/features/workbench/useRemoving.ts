import { storeToRefs } from 'pinia'
import { computed, ref } from 'vue'
import { findStep, removalOf, removeOnly, removeWithRest } from './edits'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import type { useArrangements } from './useArrangements'

/** Steps that are about to be removed. */
interface Asked {
  /** The row that the question stands below. */
  row: string
  rows: string[]
  steps: number
}

/**
 * Removes the chosen steps; asks first if more than the one step would go.
 *
 * @param after what to choose once they are gone
 */
export function useRemoving(
  { order, covered }: ReturnType<typeof useArrangements>,
  after: (gone: string) => string | null,
  focusRow: () => void,
) {
  const store = useJourneyStore()
  const selection = useSelection()
  const { journey } = storeToRefs(store)
  const { selected, chosen } = storeToRefs(selection)
  const asking = ref<Asked | null>(null)
  const removal = computed(() =>
    asking.value && journey.value ? removalOf(journey.value, asking.value.row) : null,
  )
  const askedStep = computed(() =>
    asking.value && journey.value ? findStep(journey.value, asking.value.row) : null,
  )

  async function remove(): Promise<void> {
    const id = selected.value
    if (!journey.value || !id) return
    if (chosen.value.length > 1) {
      const rows = chosen.value
      const steps = await covered(rows)
      if (steps > 0) asking.value = { row: id, rows, steps }
      return
    }
    const what = removalOf(journey.value, id)
    if (!what) return
    if (what.inside + what.after > 0) asking.value = { row: id, rows: [id], steps: 1 }
    else removeOne(id, 'only')
  }

  function removeOne(id: string, how: 'only' | 'rest'): void {
    asking.value = null
    const next = after(id)
    store.edit('remove step', (before) =>
      how === 'only' ? removeOnly(before, id) : removeWithRest(before, id),
    )
    selection.select(next)
    focusRow()
  }

  async function removeAll(): Promise<void> {
    const gone = asking.value?.rows ?? []
    asking.value = null
    const next = after(gone[0]!)
    if (await order('REMOVE', gone)) selection.select(next)
    focusRow()
  }

  function keep(): void {
    asking.value = null
    focusRow()
  }

  return { asking, removal, askedStep, remove, removeOne, removeAll, keep }
}
