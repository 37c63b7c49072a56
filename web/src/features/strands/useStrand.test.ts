import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { JourneyDocument, StrandDocument, StrandView } from '@/api/types'
import { useJourneyStore } from '@/features/workbench/journeyStore'
import { email } from '@/features/workbench/newSteps'
import { testJourney } from '@/features/workbench/testJourney'
import { viewOf } from '@/features/workbench/testServer'
import { useStrand } from './useStrand'
import { json } from '@/api/testClient'

const strand = (name: string): StrandDocument => ({ id: 's', name, body: [email('a', 'm')] })

/** A server that keeps one strand and looks at drafts. */
class Server {
  kept: StrandView = { version: 1, savedAt: '2026-01-01T00:00:00Z', document: strand('Spring') }
  saves = 0

  async answer(request: Request): Promise<Response> {
    const path = new URL(request.url).pathname
    if (request.method === 'GET') return json([this.kept])
    const sent = (await request.json()) as { version?: number; document: StrandDocument }
    if (path.endsWith('/looks')) {
      const journey = { ...testJourney(...sent.document.body), name: sent.document.name }
      const { sheet, expanded } = viewOf(journey)
      return json({ sheet, expanded, difference: [], users: [] })
    }
    if (sent.version !== this.kept.version) {
      return json({ code: 'save-lost', detail: 'Somebody else has saved this strand.' }, 409)
    }
    this.saves++
    this.kept = { ...this.kept, version: this.kept.version + 1, document: sent.document }
    return json(this.kept)
  }
}

let server: Server

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = (request: Request) => server.answer(request)
  return answeredBy(original, fetch)
})

const rename = (name: string) => (before: JourneyDocument) => ({ ...before, name })

/** As the page opens it, in a tab that may have been open before. */
async function opened() {
  setActivePinia(createPinia())
  const store = useJourneyStore()
  const edited = useStrand('s')
  await store.openFrom(edited.source)
  return { store, edited }
}

const saved = (store: ReturnType<typeof useJourneyStore>) =>
  vi.waitFor(() => expect(store.save.status).toBe('saved'), { timeout: 2000 })

describe('a strand that is edited', () => {
  beforeEach(() => {
    sessionStorage.clear()
    server = new Server()
  })

  it('changes nothing for anybody before it is kept, and outlives a reload', async () => {
    const { store } = await opened()
    store.edit('rename', rename('Spring work'))
    await saved(store)
    expect(server.saves).toBe(0)

    const again = await opened()
    expect(again.store.journey?.name).toBe('Spring work')
    expect(again.store.undoName).toBe('rename')
    expect(await again.edited.keep()).toBe(true)
    expect(server.kept).toMatchObject({ version: 2, document: { name: 'Spring work' } })

    const clean = await opened()
    expect(clean.store.journey?.name).toBe('Spring work')
    expect(sessionStorage.getItem('open-trellis.strand.s')).toBeNull()
  })

  it('is not kept over what somebody else has saved, unless that was seen', async () => {
    const { store, edited } = await opened()
    store.edit('rename', rename('Mine'))
    await saved(store)
    server.kept = { ...server.kept, version: 7, document: strand('Theirs') }
    expect(await edited.keep()).toBe(false)
    expect(edited.lost.value).toBe(true)
    expect(edited.refusal.value).toContain('Somebody else')
    expect(store.journey?.name).toBe('Mine')
    await edited.goOnFromTheirs()
    expect(await edited.keep()).toBe(true)
    expect(server.kept).toMatchObject({ version: 8, document: { name: 'Mine' } })
  })

  it('does not bring back a draft of an earlier version', async () => {
    const { store } = await opened()
    store.edit('rename', rename('Mine'))
    await saved(store)
    server.kept = { ...server.kept, version: 2, document: strand('Theirs') }
    const again = await opened()
    expect(again.store.journey?.name).toBe('Theirs')
  })

  it('has steps only: what belongs to journeys is refused, and undo is the way back', async () => {
    const { store, edited } = await opened()
    store.edit('goal', (before) => ({ ...before, sender: 'Ada of Ambercomb' }))
    await vi.waitFor(() => expect(store.save.status).toBe('refused'), { timeout: 2000 })
    expect(store.save).toMatchObject({ reason: expect.stringContaining('a run of steps') })
    store.undo()
    await saved(store)
    edited.discard()
    expect(server.saves).toBe(0)
  })

  it('says that there is none of that name', async () => {
    setActivePinia(createPinia())
    const store = useJourneyStore()
    await store.openFrom(useStrand('gone').source)
    expect(store.loadFailure).toContain('There is no strand “gone”')
  })
})
