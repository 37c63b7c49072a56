import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { JourneyDocument, JourneyView, StepDocument } from '@/api/types'
import { useJourneyStore } from './journeyStore'
import { email } from './newSteps'
import type { Source } from './source'
import { testJourney } from './testJourney'
import { json } from '@/api/testClient'

const send = (id: string): StepDocument => email(id, 'm')

function document(name: string, ...body: StepDocument[]): JourneyDocument {
  return { ...testJourney(...body), name }
}

interface MergeOrder {
  theirs: JourneyDocument
  ours: JourneyDocument
  rows: string[]
}

/** A server that keeps one journey, answers as ours does, and can be told to refuse or to wait. */
class Server {
  version = 1
  journey = document('Start')
  saves: string[] = []
  refuse: string | null = null
  gate: Promise<void> | null = null
  /** What reading waits for, and then answers as it was before. */
  reading: Promise<void> | null = null
  /** What the next save is told that the journey is for. */
  purpose: JourneyDocument['purpose'] | null = null

  view(): JourneyView {
    const line = { id: '', sentence: { spans: [] }, typed: { spans: [] } }
    const sheet = { opening: line, rules: [], rows: [], goal: line, secondaryGoals: [] }
    return {
      id: 1,
      version: this.version,
      savedAt: '2026-01-01T00:00:00Z',
      journey: this.journey,
      expanded: this.journey,
      sheet,
      findings: [],
      behaviour: {} as JourneyView['behaviour'],
      behaviourVersion: 1,
      state: { title: '', sentence: '' },
      stateChanges: [],
      mailLeavesTo: null,
      archived: false,
      starter: null,
      estimate: null,
    }
  }

  async answer(request: Request): Promise<Response> {
    const path = new URL(request.url).pathname
    if (path.endsWith('/merges')) {
      const { theirs, ours, rows } = (await request.json()) as MergeOrder
      return json({ ...theirs, name: rows.includes('name') ? ours.name : theirs.name })
    }
    if (request.method === 'GET') {
      const read = this.view()
      await this.reading
      return json(read)
    }
    const save = (await request.json()) as { version: number; journey: JourneyDocument }
    await this.gate
    if (this.refuse) return json({ code: 'bad-value', detail: this.refuse }, 400)
    if (save.version !== this.version) {
      const yours = { journey: save.journey, difference: [], changedHere: [] }
      return json({ code: 'save-lost', detail: 'Lost.', current: this.view(), yours }, 409)
    }
    this.version++
    this.journey = { ...save.journey, purpose: this.purpose ?? save.journey.purpose }
    this.purpose = null
    this.saves.push(save.journey.name)
    return json(this.view())
  }
}

let server: Server

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = (request: Request) => server.answer(request)
  return answeredBy(original, fetch)
})

const settled = (check: () => void) => vi.waitFor(check, { timeout: 2000 })
const rename = (name: string) => (before: JourneyDocument) => ({ ...before, name })

async function opened() {
  const store = useJourneyStore()
  await store.open(1)
  return store
}

describe('the journey that is being edited', () => {
  beforeEach(() => {
    setActivePinia(createPinia())
    server = new Server()
  })

  it('shows an edit at once and saves it', async () => {
    const store = await opened()
    store.edit('rename', rename('Next'))
    expect(store.journey?.name).toBe('Next')
    expect(store.save.status).toBe('saving')
    await settled(() => expect(store.save.status).toBe('saved'))
    expect(server.journey.name).toBe('Next')
    expect(store.view?.version).toBe(2)
  })

  it('saves one after another, and of those that wait only the newest', async () => {
    const store = await opened()
    let open = () => {}
    server.gate = new Promise((resolve) => (open = resolve))
    store.edit('rename', rename('one'))
    store.edit('rename', rename('two'))
    store.edit('rename', rename('three'))
    open()
    await settled(() => expect(store.save.status).toBe('saved'))
    expect(server.saves).toEqual(['one', 'three'])
  })

  it('does not note an edit that changes nothing', async () => {
    const store = await opened()
    store.edit('nothing', (before) => ({ ...before }))
    expect(store.canUndo).toBe(false)
    expect(server.saves).toEqual([])
  })

  it('undoes and redoes by name, back to the very same document', async () => {
    const store = await opened()
    const before = store.journey
    store.edit('add send', (now) => ({ ...now, body: [send('a')] }))
    store.edit('add send again', (now) => ({ ...now, body: [...now.body, send('b')] }))
    expect(store.undoName).toBe('add send again')
    store.undo()
    store.undo()
    expect(store.journey).toEqual(before)
    expect(store.canUndo).toBe(false)
    store.redo()
    store.redo()
    expect(store.journey?.body.map((step) => step.id)).toEqual(['a', 'b'])
    store.undo()
    store.edit('rename', rename('another way'))
    expect(store.canRedo).toBe(false)
    await settled(() => expect(server.journey.name).toBe('another way'))
  })

  it('keeps a refused edit on the screen, says why, and saves it again when asked', async () => {
    const store = await opened()
    server.refuse = 'That is no name.'
    store.edit('rename', rename('bad'))
    await settled(() =>
      expect(store.save).toEqual({ status: 'refused', reason: 'That is no name.' }),
    )
    expect(store.journey?.name).toBe('bad')
    expect(server.journey.name).toBe('Start')
    server.refuse = null
    store.saveAgain()
    await settled(() => expect(store.save.status).toBe('saved'))
    expect(server.journey.name).toBe('bad')
  })

  it('shows both sides of a lost race, and keeps mine over theirs', async () => {
    const store = await opened()
    server.version = 5
    server.journey = document('theirs')
    store.edit('rename', rename('mine'))
    await settled(() => expect(store.save.status).toBe('lost'))
    await store.settle(['name'])
    await settled(() => expect(store.save.status).toBe('saved'))
    expect(server.journey.name).toBe('mine')
    expect(server.version).toBe(6)
    store.undo()
    expect(store.journey?.name).toBe('mine')
    store.undo()
    expect(store.journey?.name).toBe('theirs')
  })

  it('takes theirs, and undo brings mine back', async () => {
    const store = await opened()
    server.version = 5
    server.journey = document('theirs')
    store.edit('rename', rename('mine'))
    await settled(() => expect(store.save.status).toBe('lost'))
    await store.settle([])
    expect(store.journey?.name).toBe('theirs')
    await settled(() => expect(store.save.status).toBe('saved'))
    store.undo()
    expect(store.journey?.name).toBe('mine')
    await settled(() => expect(server.journey.name).toBe('mine'))
  })

  it('saves what is still on its way before another journey is opened', async () => {
    const store = await opened()
    let open = () => {}
    server.gate = new Promise((resolve) => (open = resolve))
    store.edit('rename', rename('one'))
    store.edit('rename', rename('two'))
    const other = store.open(2)
    open()
    await other
    expect(server.saves).toEqual(['one', 'two'])
  })

  it('shows what is known of the sheet before the save is answered', async () => {
    const store = await opened()
    let open = () => {}
    server.gate = new Promise((resolve) => (open = resolve))
    const sheet = { ...store.view!.sheet, rows: [{ id: 'new' }] } as JourneyView['sheet']
    store.edit('add sentence', rename('with a row'), sheet)
    expect(store.view?.sheet.rows.map((row) => row.id)).toEqual(['new'])
    expect(store.save.status).toBe('saving')
    open()
    await settled(() => expect(store.save.status).toBe('saved'))
    expect(store.view?.sheet.rows).toEqual([])
  })

  it('looks anew without losing what is saved meanwhile', async () => {
    const store = await opened()
    let read = () => {}
    server.reading = new Promise((resolve) => (read = resolve))
    const looking = store.lookAnew()
    store.edit('rename', rename('one'))
    await settled(() => expect(store.save.status).toBe('saved'))
    read()
    await looking
    expect(store.view?.version).toBe(2)
    store.edit('rename', rename('two'))
    await settled(() => expect(server.saves).toEqual(['one', 'two']))
    expect(store.save.status).toBe('saved')
  })

  it('keeps a line that was typed while an earlier one was being saved', async () => {
    const store = await opened()
    const gates: (() => void)[] = []
    const closed = () => new Promise<void>((resolve) => gates.push(resolve))
    const rowsNow = () => store.view?.sheet.rows.map((row) => row.id)
    const sheet = (...ids: string[]) =>
      ({ ...store.view!.sheet, rows: ids.map((id) => ({ id })) }) as JourneyView['sheet']
    server.gate = closed()
    store.edit('add sentence', rename('one'), sheet('a'))
    // The server has begun with it, and waits at the first gate.
    await new Promise((resolve) => setTimeout(resolve, 50))
    store.edit('add sentence', rename('two'), sheet('a', 'b'))
    server.gate = closed()
    gates[0]!()
    await settled(() => expect(server.saves).toEqual(['one']))
    await settled(() => expect(store.view?.version).toBe(2))
    expect(rowsNow()).toEqual(['a', 'b'])
    gates[1]!()
    await settled(() => expect(store.save.status).toBe('saved'))
    expect(rowsNow()).toEqual([])
  })

  it('takes the purpose that the server gives a journey with its first trigger', async () => {
    const store = await opened()
    server.purpose = 'CART'
    store.edit('change journey', rename('begun'))
    await settled(() => expect(store.journey?.purpose).toBe('CART'))
    expect(store.undoName).toBe('change journey')
    expect(server.saves).toEqual(['begun'])
  })

  it('gives the purpose to a newer edit, too, and saves that', async () => {
    const store = await opened()
    server.purpose = 'CART'
    let open = () => {}
    server.gate = new Promise((resolve) => (open = resolve))
    store.edit('change journey', rename('begun'))
    store.edit('rename', rename('and renamed'))
    open()
    await settled(() => expect(store.save.status).toBe('saved'))
    expect(store.journey).toMatchObject({ name: 'and renamed', purpose: 'CART' })
    expect(server.journey).toMatchObject({ name: 'and renamed', purpose: 'CART' })
  })

  it('does not show what comes late of something that is no longer open', async () => {
    const store = useJourneyStore()
    let late = () => {}
    const slow: Source = {
      key: 'slow',
      ofStrand: true,
      load: () => new Promise((resolve) => (late = () => resolve(server.view()))),
      save: () => Promise.reject(new Error('nobody saves here')),
    }
    const first = store.openFrom(slow)
    await store.open(1)
    store.edit('rename', rename('mine'))
    late()
    await first
    expect(store.ofStrand).toBe(false)
    expect(store.journey?.name).toBe('mine')
  })
})
