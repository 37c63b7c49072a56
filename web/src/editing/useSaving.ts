import { shallowRef } from 'vue'
import { reasonOf, Refused, type ApiProblem } from '@/api/client'

/** Whether what is on the screen is saved. */
export type SaveState =
  | { status: 'saved' }
  | { status: 'saving' }
  | { status: 'refused'; reason: string }
  | { status: 'lost'; problem: ApiProblem }

/**
 * Saves one document after another; of those that wait, the newest wins. A save that lost its race
 * stops all until it is settled.
 *
 * @param send saves a document
 */
export function useSaving<T>(send: (document: T) => Promise<void>) {
  const state = shallowRef<SaveState>({ status: 'saved' })
  let waiting: T | null = null
  let busy: Promise<void> | null = null

  function save(document: T): void {
    waiting = document
    if (state.value.status !== 'lost') busy ??= saveAll()
  }

  async function saveAll(): Promise<void> {
    while (waiting !== null) {
      const document: T = waiting
      waiting = null
      state.value = { status: 'saving' }
      try {
        await send(document)
        state.value = { status: 'saved' }
      } catch (failure) {
        state.value = failed(failure)
        if (state.value.status === 'lost') break
      }
    }
    busy = null
  }

  function failed(failure: unknown): SaveState {
    if (failure instanceof Refused && failure.problem.code === 'save-lost') {
      return { status: 'lost', problem: failure.problem }
    }
    return { status: 'refused', reason: reasonOf(failure) }
  }

  /** Forgets what was refused or lost, and what waits. */
  function reset(): void {
    waiting = null
    state.value = { status: 'saved' }
  }

  /** Waits until nothing is on its way to the server. */
  async function idle(): Promise<void> {
    await busy
  }

  return { state, save, reset, idle }
}
