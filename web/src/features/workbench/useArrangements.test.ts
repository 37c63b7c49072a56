import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { json } from '@/api/testClient'
import type { ArrangementOrder, JourneyDocument } from '@/api/types'
import { useJourneyStore } from './journeyStore'
import { email } from './newSteps'
import { useSelection } from './selectionStore'
import { testJourney } from './testJourney'
import { useArrangements } from './useArrangements'
import { viewOf } from './testServer'

const idsOf = (journey: JourneyDocument | null) => journey?.body.map((step) => step.id).join(' ')

/** Orders that wait for their answer, and what the server refuses. */
let waiting: (() => void)[]
let holds: boolean
let refuses: string | null

/** Moves the first row to the end, copies, or takes out, as the core would. */
function carriedOut({ journey, action, rows, steps }: ArrangementOrder) {
  const meant = journey.body.filter((step) => rows.includes(step.id))
  const others = journey.body.filter((step) => !rows.includes(step.id))
  const body = { COPY: journey.body, REMOVE: others, PASTE: [...journey.body, ...(steps ?? [])] }
  const after = body[action as 'COPY'] ?? [...others, ...meant]
  return { journey: { ...journey, body: after }, steps: action === 'PASTE' ? steps : meant }
}

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    const body = (await request.json()) as ArrangementOrder & { journey: JourneyDocument }
    if (!request.url.endsWith('/arrangements')) return json(viewOf(body.journey, { version: 2 }))
    if (holds) await new Promise<void>((go) => waiting.push(go))
    if (refuses === 'no answer') throw new TypeError('Failed to fetch')
    return json(
      refuses ? { done: null, refused: refuses } : { done: carriedOut(body), refused: null },
    )
  })
})

async function opened() {
  setActivePinia(createPinia())
  const store = useJourneyStore()
  const journey = testJourney(email('a', 'm'), email('b', 'm'), email('c', 'm'))
  await store.openFrom({
    key: 'a journey',
    ofStrand: false,
    load: async () => viewOf(journey),
    save: async (_, saved) => viewOf(saved, { version: 2 }),
  })
  return { store, arranging: useArrangements() }
}

beforeEach(() => {
  localStorage.clear()
  sessionStorage.clear()
  waiting = []
  holds = false
  refuses = null
})

describe('orders', () => {
  it('are carried out one after another, each on what the one before has left', async () => {
    const { store, arranging } = await opened()
    const both = [arranging.order('MOVE', ['a']), arranging.order('MOVE', ['b'])]
    expect(await Promise.all(both)).toEqual([true, true])
    expect(idsOf(store.journey)).toBe('c a b')
    store.undo()
    expect(idsOf(store.journey)).toBe('b c a')
  })

  it('leave what was edited while the server thought', async () => {
    const { store, arranging } = await opened()
    holds = true
    const moved = arranging.order('MOVE', ['a'])
    await flushPromises()
    store.edit('add email', (whole) => ({ ...whole, body: [...whole.body, email('d', 'm')] }))
    holds = false
    waiting.forEach((go) => go())
    expect(await moved).toBe(true)
    expect(idsOf(store.journey)).toBe('b c d a')
    store.undo()
    expect(idsOf(store.journey)).toBe('a b c d')
  })

  it('that are refused change nothing, and say why until the next', async () => {
    const { store, arranging } = await opened()
    refuses = 'The first step cannot go further up.'
    expect(await arranging.order('UP', ['a'])).toBe(false)
    expect(arranging.refusal.value).toBe(refuses)
    expect(idsOf(store.journey)).toBe('a b c')
    expect(store.canUndo).toBe(false)
    refuses = null
    expect(await arranging.order('MOVE', ['a'])).toBe(true)
    expect(arranging.refusal.value).toBeNull()
  })

  it('that never reach the server are told, and the next ones go on', async () => {
    const { store, arranging } = await opened()
    refuses = 'no answer'
    expect(await arranging.order('MOVE', ['a'])).toBe(false)
    expect(arranging.refusal.value).toContain('does not answer')
    refuses = null
    expect(await arranging.order('MOVE', ['a'])).toBe(true)
    expect(idsOf(store.journey)).toBe('b c a')
  })

  it('choose the steps that they are about', async () => {
    const { arranging } = await opened()
    await arranging.order('MOVE', ['a', 'b'])
    expect(useSelection().selected).toBe('b')
  })
})

describe('cutting', () => {
  it('copies, and takes out what was copied', async () => {
    const { store, arranging } = await opened()
    expect(await arranging.cut(['a', 'b'])).toBe(true)
    expect(idsOf(store.journey)).toBe('c')
    await arranging.order('PASTE', [])
    expect(idsOf(store.journey)).toBe('c a b')
  })

  it('takes nothing out that could not be copied', async () => {
    const { store, arranging } = await opened()
    refuses = 'An arm cannot be copied.'
    expect(await arranging.cut(['a'])).toBe(false)
    expect(idsOf(store.journey)).toBe('a b c')
    expect(arranging.refusal.value).toBe(refuses)
  })
})
