import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { EmailDocument, PartDocument } from '@/api/types'
import { allParts } from './parts'
import { useManuscript } from './manuscriptStore'
import { useRows } from './useRows'
import { lineOf } from './words'

const prose = (id: string): PartDocument => ({
  kind: 'prose',
  id,
  blocks: [{ kind: 'paragraph', words: lineOf(`Words of ${id}`).words }],
})
const columns = (id: string, ...inside: PartDocument[][]): PartDocument =>
  ({ kind: 'columns', id, columns: inside.map((parts) => ({ parts })) }) as PartDocument

let parts: PartDocument[]
vi.mock('@/api/client', async (original) => {
  const { answeredBy, json } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    const sent = request.method === 'PUT' ? ((await request.json()) as object) : {}
    const manuscript = {
      kind: 'email',
      subject: lineOf('Spring'),
      preview: lineOf(''),
      sender: null,
      parts,
      plain: null,
      style: {},
    } as unknown as EmailDocument
    return json({
      id: 'm',
      name: 'M',
      labels: [],
      archived: false,
      version: 1,
      manuscript,
      ...sent,
    })
  })
})

async function opened(...some: PartDocument[]) {
  parts = some
  setActivePinia(createPinia())
  const store = useManuscript()
  await store.open('m')
  const write = vi.fn()
  const rows = useRows(write, ref({}))
  const press = (key: string, more: Partial<KeyboardEventInit> = {}) => {
    const event = new KeyboardEvent('keydown', { key, cancelable: true, ...more })
    rows.onKey(event, store.selected!)
    return event
  }
  const ids = () => allParts(store.email!.parts).map((part) => part.id)
  return { store, rows, write, press, ids }
}

beforeEach(() => {
  localStorage.clear()
  sessionStorage.clear()
  vi.stubGlobal('navigator', {})
})
afterEach(() => vi.unstubAllGlobals())

describe('keys on the parts of a message', () => {
  it('go from part to part, into what holds others, and stop at the ends', async () => {
    const { store, rows, press } = await opened(
      prose('a'),
      columns('c', [prose('x')], [prose('y')]),
    )
    rows.choose('a')
    press('ArrowUp')
    expect(store.selected).toBe('a')
    press('ArrowDown')
    press('ArrowDown')
    expect(store.selected).toBe('x')
    press('End')
    expect(store.selected).toBe('y')
    press('Home')
    expect(store.selected).toBe('a')
  })

  it('pass by what is inside of a folded part', async () => {
    const { store, rows, press } = await opened(columns('c', [prose('x')]), prose('b'))
    rows.choose('c')
    press('ArrowLeft')
    press('ArrowDown')
    expect(store.selected).toBe('b')
    rows.choose('c')
    press('ArrowRight')
    press('ArrowDown')
    expect(store.selected).toBe('x')
  })

  it('remove a part with all inside, and choose the next one', async () => {
    const { store, rows, press, ids } = await opened(columns('c', [prose('x')]), prose('b'))
    rows.choose('c')
    press('Delete')
    expect(ids()).toEqual(['b'])
    expect(store.selected).toBe('b')
    press('Backspace')
    expect(ids()).toEqual([])
    expect(store.selected).toBeNull()
    store.undo()
    store.undo()
    expect(ids()).toEqual(['c', 'x', 'b'])
  })

  it('duplicate a part under ids of its own, also those inside', async () => {
    const { store, rows, press, ids } = await opened(columns('c', [prose('x')]), prose('b'))
    rows.choose('c')
    press('d', { ctrlKey: true })
    expect(ids()).toHaveLength(5)
    expect(new Set(ids()).size).toBe(5)
    expect(store.selected).toBe(ids()[2])
  })

  it('move a part up and down', async () => {
    const { rows, press, ids } = await opened(prose('a'), prose('b'))
    rows.choose('a')
    press('ArrowDown', { altKey: true })
    expect(ids()).toEqual(['b', 'a'])
    press('ArrowUp', { altKey: true })
    expect(ids()).toEqual(['a', 'b'])
  })

  it('open a text, but nothing of a part that has no words', async () => {
    const { rows, press } = await opened(prose('a'), { kind: 'rule', id: 'r' } as PartDocument)
    rows.choose('a')
    press('Enter')
    expect(rows.editing.value).toBe(true)
    rows.choose('r')
    expect(rows.editing.value).toBe(false)
    press('Enter')
    expect(rows.editing.value).toBe(false)
  })

  it('that mean nothing here are left to others', async () => {
    const { rows, press } = await opened(prose('a'))
    rows.choose('a')
    expect(press('q').defaultPrevented).toBe(false)
    expect(press('z', { ctrlKey: true }).defaultPrevented).toBe(false)
    expect(press('ArrowDown').defaultPrevented).toBe(true)
  })
})

describe('pasting', () => {
  it('puts what was copied below the chosen part, and chooses it', async () => {
    const { store, rows, press, ids } = await opened(prose('a'), prose('b'))
    rows.choose('a')
    press('c', { ctrlKey: true })
    press('v', { ctrlKey: true })
    await flushPromises()
    expect(ids()).toHaveLength(3)
    expect(ids()[0]).toBe('a')
    expect(store.selected).toBe(ids()[1])
    expect(rows.trouble.value).toBeNull()
  })

  it('of nothing says what to do, and changes nothing', async () => {
    const { store, rows, press } = await opened(prose('a'))
    rows.choose('a')
    press('v', { ctrlKey: true })
    await flushPromises()
    expect(rows.trouble.value).toContain('nothing to paste')
    expect(store.canUndo).toBe(false)
  })

  it('of a part that was cut brings it back', async () => {
    const { rows, press, ids } = await opened(prose('a'), prose('b'))
    rows.choose('a')
    press('x', { ctrlKey: true })
    expect(ids()).toEqual(['b'])
    press('v', { ctrlKey: true })
    await flushPromises()
    expect(ids()).toHaveLength(2)
    expect(ids()[0]).toBe('b')
  })
})
