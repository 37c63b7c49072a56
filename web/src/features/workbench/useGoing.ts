import { START } from './edits'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import type { Sheet } from './useSheet'

/** Going from row to row, and from finding to finding. */
export function useGoing(sheet: Sheet, focusRow: () => void) {
  const store = useJourneyStore()
  const selection = useSelection()

  /** Rows up or down, or to an end; the choice grows on the way if it is extended. */
  function go(to: number | 'FIRST' | 'LAST', extend: boolean): void {
    const stops = sheet.stops.value
    const last = stops.length - 1
    const here = stops.indexOf(sheet.current.value ?? '')
    const place = to === 'FIRST' ? 0 : to === 'LAST' ? last : here + to
    const next = stops[Math.max(0, Math.min(last, place))]
    if (!next) return
    if (extend && sheet.kindOf(next)) selection.extendTo(next)
    else selection.select(next)
    focusRow()
  }

  function select(row: string, event: MouseEvent): void {
    if (event.shiftKey) selection.extendTo(row)
    else selection.select(row)
  }

  function nextFinding(back: boolean): void {
    const found = new Set((store.view?.findings ?? []).map((one) => one.step ?? START))
    const all = [START, ...sheet.rows.value.map((row) => row.id)]
    const order = all.filter((id) => found.has(id))
    if (order.length === 0) return
    const here = all.indexOf(selection.selected ?? START)
    const next = back
      ? (order.findLast((id) => all.indexOf(id) < here) ?? order.at(-1))
      : (order.find((id) => all.indexOf(id) > here) ?? order[0])
    selection.select(next!)
    focusRow()
  }

  /** Does what the first finding of the row offers, an edit like any other; false if it has none. */
  function mend(): boolean {
    const here = sheet.current.value === START ? null : sheet.current.value
    const fix = store.view?.findings.find((one) => one.step === here && one.fix)?.fix
    if (fix) store.mend(fix)
    focusRow()
    return !!fix
  }

  return { go, select, nextFinding, mend }
}
