import { useStorage } from '@vueuse/core'
import { ref } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated } from '@/api/queries'
import type { ArrangementOrder, StepDocument, StrandDocument } from '@/api/types'
import { allSteps } from './edits'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'

type Action = ArrangementOrder['action']

/** What an edit is called in the undo button. */
const NAMES: Partial<Record<Action, string>> = {
  MOVE: 'move',
  UP: 'move up',
  DOWN: 'move down',
  IN: 'move into the branch',
  OUT: 'move out of the branch',
  DUPLICATE: 'duplicate',
  PASTE: 'paste',
  REMOVE: 'cut',
  TRY_AGAIN: 'try again',
  TEXT_THE_REST: 'text the rest',
  REMIND: 'remind',
  GATHER: 'make a strand of',
}

/** What an order needs besides the rows it is about. */
export type Details = Partial<
  Pick<ArrangementOrder, 'below' | 'number' | 'message' | 'field' | 'name'>
>

const NO_DETAILS = { below: null, number: null, message: null, field: null, name: null }

/** Steps that were copied, from any journey and in any tab. */
const clipboard = useStorage<StepDocument[]>('open-trellis.copied-steps', [])

/**
 * Moves, copies and pastes steps. The core does it; orders are carried out one after another, each
 * on what the one before has left.
 */
export function useArrangements() {
  const store = useJourneyStore()
  const selection = useSelection()
  /** Why the last order was refused; null if it was not. */
  const refusal = ref<string | null>(null)
  let last: Promise<unknown> = Promise.resolve()

  function order(action: Action, rows: string[], details: Details = {}): Promise<boolean> {
    const result = last.then(() => carryOut(action, rows, details))
    last = result
    return result
  }

  async function carryOut(action: Action, rows: string[], details: Details): Promise<boolean> {
    const journey = store.journey
    if (!journey) return false
    refusal.value = null
    try {
      const steps = action === 'PASTE' ? clipboard.value : null
      const { done, refused } = await answerOf(
        api.POST('/api/arrangements', {
          body: { journey, action, rows, steps, ...NO_DETAILS, ...details },
        }),
      )
      // What was edited meanwhile stays: the order is about the journey as it is now.
      if (store.journey !== journey) return await carryOut(action, rows, details)
      refusal.value = refused
      if (!done) return false
      if (action === 'COPY') clipboard.value = done.steps
      if (done.strand) await keepStrand(done.strand)
      const count = done.steps.length === 1 ? 'step' : `${done.steps.length} steps`
      const name = NAMES[action]
      if (name) store.edit(`${name} ${count}`, () => done.journey)
      const arm = rows.length === 1 && !done.steps.some((step) => step.id === rows[0])
      if (action !== 'REMOVE' && action !== 'COPY' && !arm) {
        selection.choose(done.steps.map((step) => step.id))
      }
      return true
    } catch (failure) {
      refusal.value = reasonOf(failure)
      return false
    }
  }

  /** A strand is there before a journey goes through it. */
  async function keepStrand(document: StrandDocument): Promise<void> {
    await answerOf(api.POST('/api/strands', { body: { version: null, document } }))
    await outdated('library')
  }

  /** How many steps the chosen rows stand for, with all that is inside them. */
  async function covered(rows: string[]): Promise<number> {
    const journey = store.journey
    if (!journey) return 0
    const body = { journey, action: 'COPY' as const, rows, steps: null, ...NO_DETAILS }
    try {
      const { done, refused } = await answerOf(api.POST('/api/arrangements', { body }))
      refusal.value = refused
      return done ? allSteps(done.steps).length : 0
    } catch (failure) {
      refusal.value = reasonOf(failure)
      return 0
    }
  }

  /** Copies, and takes out what was copied. */
  async function cut(rows: string[]): Promise<boolean> {
    return (await order('COPY', rows)) && order('REMOVE', rows)
  }

  return { clipboard, refusal, order, cut, covered }
}
