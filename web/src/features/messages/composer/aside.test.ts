import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, getActivePinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { EmailDocument, LinkDocument, MessageSheet } from '@/api/types'
import { page, plugins } from '@/testing'
import FileField from './FileField.vue'
import LostRace from './LostRace.vue'
import { useManuscript } from './manuscriptStore'
import MessageVersions from './MessageVersions.vue'
import TargetForm from './TargetForm.vue'
import TestSend from './TestSend.vue'
import { lineOf, plainWords } from './words'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})
const files = vi.hoisted(() => ({ kept: [] as string[], replaced: [] as string[] }))
vi.mock('./keepFile', () => ({
  keepFile: async (file: File) => (files.kept.push(file.name), { name: file.name }),
  replaceFile: async (name: string, file: File) => (
    files.replaced.push(`${name} by ${file.name}`),
    { name }
  ),
}))

const SELF = '/api/messages/planner'
const email = (subject: string) =>
  ({
    kind: 'email',
    subject: lineOf(subject),
    preview: lineOf(''),
    sender: null,
    parts: [],
    plain: null,
    style: {},
  }) as unknown as EmailDocument
const sheet = (subject: string, version = 3): MessageSheet => ({
  id: 'planner',
  name: 'Planner',
  labels: [],
  archived: false,
  manuscript: email(subject),
  links: [],
  starter: null,
  version,
})

let open: VueWrapper
beforeEach(() => {
  doors.clear()
  sessionStorage.clear()
  localStorage.clear()
  files.kept.length = files.replaced.length = 0
})
afterEach(() => open.unmount())
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

/** A panel beside a message that is open. */
async function beside(panel: object, props = {}) {
  const pinia = createPinia()
  setActivePinia(pinia)
  doors.answer(`GET ${SELF}`, sheet('Your planner'))
  const store = useManuscript()
  await store.open('planner')
  open = mount(panel, {
    props,
    attachTo: page(),
    global: { plugins: [...plugins(pinia)] as never[], stubs: { RouterLink: true } },
  })
  await flushPromises()
  return store
}
type Store = ReturnType<typeof useManuscript>
const subject = (store: Store) => plainWords(store.email!.subject)
const write = (store: Store, words: string) =>
  store.editEmail('wrote the subject', (one) => ({ ...one, subject: lineOf(words) }), 'subject')

describe('a test of a message', () => {
  const sent = () => doors.at(`POST ${SELF}/tests`)
  beforeEach(async () => {
    doors.answer('GET /api/account', {
      account: { senders: [{ name: 'Mira', address: 'hello@example.com', answersTo: null }] },
    })
    doors.answer(`POST ${SELF}/tests`, {
      to: 'hello@example.com',
      mails: [{ id: 4, bytes: 2048, millis: 7 }],
      skipped: [],
    })
  })
  const submit = async () => {
    await open.get('form').trigger('submit')
    await flushPromises()
  }

  it('goes to our own address unless another is typed', async () => {
    await beside(TestSend, { reader: { kind: 'nobody' }, called: '' })
    await submit()
    expect(sent()[0]!.body).toEqual({ person: null, made: null, to: 'hello@example.com' })
    expect(open.get('[role=status]').text()).toContain('Sent to hello@example.com')
  })

  it('waits until what was changed is saved', async () => {
    const store = await beside(TestSend, { reader: { kind: 'known', id: 7 }, called: 'Mira' })
    doors.answer(`PUT ${SELF}/manuscript`, sheet('Changed', 4))
    write(store, 'Changed')
    await submit()
    const order = doors.asked.map((one) => one.door).filter((one) => !one.startsWith('GET'))
    expect(order).toEqual([`PUT ${SELF}/manuscript`, `POST ${SELF}/tests`])
    expect(sent()[0]!.body).toMatchObject({ person: 7 })
  })

  it('does not go out with older words where these could not be saved', async () => {
    const store = await beside(TestSend, { reader: { kind: 'nobody' }, called: '' })
    doors.refuse(`PUT ${SELF}/manuscript`, 'The disk is full.')
    write(store, 'Changed')
    await submit()
    expect(sent()).toEqual([])
    expect(open.get('[role=alert]').text()).toContain('is not saved, so it is not sent')
  })

  it('says at the address what is wrong with it', async () => {
    await beside(TestSend, { reader: { kind: 'nobody' }, called: '' })
    doors.refuse(`POST ${SELF}/tests`, 'No.', { '/to': 'There is no @ in it.' })
    await submit()
    expect(open.get('#test-to-note').text()).toBe('There is no @ in it.')
    expect(open.find('[role=status]').exists()).toBe(false)
  })
})

describe('two versions of a message', () => {
  async function lost() {
    const theirs = sheet('Theirs', 9)
    doors.answer('POST /api/messages/differences', [
      { added: false, line: 'Subject: Theirs' },
      { added: true, line: 'Subject: Mine' },
    ])
    const problem = {
      status: 409,
      code: 'save-lost',
      detail: 'Somebody else.',
      current: theirs as never,
    }
    const store = await beside({ template: '<i />' })
    doors.tooLate(`PUT ${SELF}/manuscript`, 'Somebody else.', theirs)
    write(store, 'Mine')
    await flushPromises()
    expect(store.save.status).toBe('lost')
    doors.answer(`PUT ${SELF}/manuscript`, ({ body }: { body: MessageSheet }) => ({
      ...theirs,
      ...body,
      version: 10,
    }))
    doors.answer(`GET ${SELF}`, theirs)
    open = mount(LostRace, {
      props: { problem },
      attachTo: page(),
      global: { plugins: [...plugins(getActivePinia()!)] as never[] },
    })
    await flushPromises()
    return store
  }

  it('are seen side by side, and mine holds if that is said', async () => {
    const store = await lost()
    const rows = open.findAll('li').map((one) => one.text())
    expect(rows).toEqual(['TheirsSubject: Theirs', 'YoursSubject: Mine'])
    await press('Keep yours')
    expect(subject(store)).toBe('Mine')
    expect(doors.at(`PUT ${SELF}/manuscript`).at(-1)!.body).toMatchObject({ version: 9 })
  })

  it('become theirs, and undo brings mine back', async () => {
    const store = await lost()
    await press('Keep theirs')
    expect(subject(store)).toBe('Theirs')
    store.undo()
    expect(subject(store)).toBe('Mine')
  })
})

describe('versions of a message', () => {
  it('are gone back to as an edit that can be undone', async () => {
    doors.answer(`GET ${SELF}/history`, [
      { version: 3, at: 1_800_000_000, changes: [] },
      {
        version: 1,
        at: 1_799_000_000,
        changes: Array.from({ length: 14 }, (_, n) => ({ added: true, line: `line ${n}` })),
      },
    ])
    doors.answer(`GET ${SELF}/history/1`, sheet('As it was begun', 1))
    const store = await beside(MessageVersions)
    expect(open.text()).toContain('as it is now')
    expect(open.text()).toContain('and 2 lines more')
    expect(open.findAll('button').filter((one) => one.text() === 'Go back to this')).toHaveLength(1)
    await press('Go back to this')
    expect(subject(store)).toBe('As it was begun')
    store.undo()
    expect(subject(store)).toBe('Your planner')
  })
})

describe('where a link leads', () => {
  async function target(link: LinkDocument) {
    doors.answer('GET /api/files', [
      { name: 'bees.png', width: 300 },
      { name: 'planner.pdf', width: null },
    ])
    open = mount(TargetForm, {
      props: { link },
      attachTo: page(),
      global: { plugins: [...plugins()] as never[] },
    })
    await flushPromises()
  }
  const last = () => open.emitted('change')!.at(-1)![0]

  it.each([
    ['ambercomb.example/shop', 'https://ambercomb.example/shop'],
    ['http://ambercomb.example', 'http://ambercomb.example'],
    [' mailto:hello@example.com ', 'mailto:hello@example.com'],
  ])('is completed as people type it: %s', async (typed, address) => {
    await target({ to: null, name: null })
    await open.get('[aria-label="Web address"]').setValue(typed)
    expect(last()).toEqual({ to: { kind: 'web', address }, name: null })
  })

  it('is nowhere once it is emptied, and keeps what it is counted as', async () => {
    await target({ to: { kind: 'web', address: 'https://a.example' }, name: 'Shop' })
    await open.get('[aria-label="Web address"]').setValue('')
    expect(last()).toEqual({ to: null, name: 'Shop' })
  })

  it('begins with a file that is no picture, and is not counted where it is not a way out', async () => {
    await target({ to: null, name: null })
    await open.get('select').setValue('keptFile')
    expect(last()).toEqual({ to: { kind: 'keptFile', file: 'planner.pdf' }, name: null })
    open.unmount()
    await target({ to: { kind: 'unsubscribe' }, name: null })
    expect(open.text()).not.toContain('counted as')
  })
})

describe('a picture', () => {
  async function picture(file: string | null) {
    doors.answer('GET /api/files', [
      { name: 'bees.png', width: 300, height: 200, bytes: 2048, address: '/f/bees.png' },
    ])
    open = mount(FileField, {
      props: { file },
      attachTo: page(),
      global: { plugins: [...plugins()] as never[] },
    })
    await flushPromises()
  }
  async function drop(name: string) {
    const event = new Event('drop', { bubbles: true })
    Object.assign(event, { dataTransfer: { files: [{ name }] } })
    open.element.dispatchEvent(event)
    await flushPromises()
  }
  async function choose(name: string) {
    const field = open.get<HTMLInputElement>('[type=file]')
    Object.defineProperty(field.element, 'files', { configurable: true, value: [{ name }] })
    await field.trigger('change')
    await flushPromises()
  }

  it('is replaced everywhere only by what is chosen for that', async () => {
    await picture('bees.png')
    await press('Replace everywhere')
    await choose('new.png')
    expect(files.replaced).toEqual(['bees.png by new.png'])
    expect(open.emitted('change')).toEqual([['bees.png']])
  })

  it('that is dropped is another one, also after replacing was begun and left', async () => {
    await picture('bees.png')
    await press('Replace everywhere')
    await drop('wax.png')
    expect(files.replaced).toEqual([])
    expect(files.kept).toEqual(['wax.png'])
    expect(open.emitted('change')).toEqual([['wax.png']])
  })

  it('that is gone says so, and stays chosen', async () => {
    await picture('old.png')
    expect(open.get('select').text()).toContain('old.png (is not there)')
    expect(key('Replace everywhere')).toBeUndefined()
  })
})
