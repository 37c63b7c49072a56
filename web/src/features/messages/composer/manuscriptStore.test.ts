import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { json } from '@/api/testClient'
import type { EmailDocument, MessageSheet } from '@/api/types'
import { useManuscript } from './manuscriptStore'
import { lineOf, plainWords } from './words'

const email = (subject: string) =>
  ({
    kind: 'email',
    subject: lineOf(subject),
    preview: lineOf(''),
    sender: null,
    parts: [{ kind: 'rule', id: 'p1' }],
    plain: null,
    style: {},
  }) as unknown as EmailDocument

/** What the server keeps, and whether somebody else has saved meanwhile. */
let kept: MessageSheet
let saves: number
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = async (request: Request) => {
    if (request.method === 'GET') return json(kept)
    const { version, ...draft } = (await request.json()) as MessageSheet
    if (version !== kept.version) {
      return json({ title: 'No', detail: 'Lost.', code: 'save-lost', current: kept }, 409)
    }
    saves++
    kept = { ...kept, ...draft, version: version + 1 }
    return json(kept)
  }
  return answeredBy(original, fetch)
})

async function opened() {
  setActivePinia(createPinia())
  const store = useManuscript()
  await store.open('planner')
  return store
}
const subject = (store: ReturnType<typeof useManuscript>) => plainWords(store.email!.subject)
function write(store: ReturnType<typeof useManuscript>, words: string, key = 'subject') {
  store.editEmail('wrote the subject', (one) => ({ ...one, subject: lineOf(words) }), key)
}

beforeEach(() => {
  sessionStorage.clear()
  localStorage.clear()
  saves = 0
  kept = {
    id: 'planner',
    name: 'Planner',
    labels: [],
    archived: false,
    manuscript: email('Your planner'),
    links: [],
    starter: null,
    version: 3,
  }
})

describe('a message that is open', () => {
  it('saves each edit, and one that changes nothing is none', async () => {
    const store = await opened()
    write(store, 'Your planner')
    expect(store.canUndo).toBe(false)
    write(store, 'Your hive planner')
    await store.idle()
    expect([saves, kept.version, plainWords((kept.manuscript as EmailDocument).subject)]).toEqual([
      1,
      4,
      'Your hive planner',
    ])
    expect(store.save.status).toBe('saved')
  })

  it('takes what is typed at one place in one go back, and other places by themselves', async () => {
    const store = await opened()
    write(store, 'Y')
    write(store, 'Yo')
    write(store, 'You')
    store.editParts('removed a part', () => [])
    store.undo()
    expect([subject(store), store.email!.parts.length]).toEqual(['You', 1])
    store.undo()
    expect(subject(store)).toBe('Your planner')
    store.redo()
    store.redo()
    expect([subject(store), store.email!.parts.length]).toEqual(['You', 0])
    await store.idle()
    expect(plainWords((kept.manuscript as EmailDocument).subject)).toBe('You')
  })

  it('can still take back what was done before a reload', async () => {
    const before = await opened()
    write(before, 'Your hive planner')
    await before.idle()
    const store = await opened()
    expect(store.undoName).toBe('wrote the subject')
    store.undo()
    expect(subject(store)).toBe('Your planner')
  })

  it('that somebody else saved meanwhile keeps both sides, whichever is taken', async () => {
    for (const mine of [true, false]) {
      kept = { ...kept, version: 3, manuscript: email('Your planner') }
      sessionStorage.clear()
      const store = await opened()
      kept = { ...kept, version: 4, manuscript: email('Theirs') }
      write(store, 'Mine')
      await store.idle()
      expect(store.save.status).toBe('lost')
      write(store, 'Mine, written on')
      await store.settle(mine)
      await store.idle()
      await flushPromises()
      expect(subject(store)).toBe(mine ? 'Mine, written on' : 'Theirs')
      expect(store.save.status).toBe('saved')
      store.undo()
      expect(subject(store)).toBe(mine ? 'Theirs' : 'Mine, written on')
    }
  })
})
