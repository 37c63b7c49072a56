import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { JourneyDocument, JourneyView, StateChange } from '@/api/types'
import { page, plugins } from '@/testing'
import { useJourneyStore } from './journeyStore'
import { email } from './newSteps'
import SaveConflict from './SaveConflict.vue'
import { useSelection } from './selectionStore'
import StateBar from './StateBar.vue'
import { testJourney } from './testJourney'
import { viewOf } from './testServer'
import VersionsPanel from './VersionsPanel.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const SELF = '/api/journeys/1'
const journey = testJourney(email('a', 'm'), email('b', 'm'))
const opening: StateChange = {
  to: 'OPEN',
  label: 'Open',
  sentence: 'Whoever joins from now on enters.',
  goOn: '',
  finishBegun: '',
}
const draft = (change: Partial<JourneyView> = {}) =>
  viewOf(journey, {
    state: { title: 'Draft', sentence: 'Nobody enters a draft.' },
    stateChanges: [opening],
    ...change,
  })

let open: VueWrapper
beforeEach(() => {
  doors.clear()
  sessionStorage.clear()
  localStorage.clear()
})
afterEach(() => open.unmount())

async function opened(panel: object, view: JourneyView, props = {}) {
  const pinia = createPinia()
  setActivePinia(pinia)
  doors.answer(`GET ${SELF}`, view)
  const store = useJourneyStore()
  await store.open(1)
  open = mount(panel, {
    props,
    attachTo: page(),
    global: { plugins: [...plugins(pinia)] as never[] },
  })
  await flushPromises()
  return store
}
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}
const changes = () => doors.at(`PUT ${SELF}/state`).map((one) => one.body)

describe('the state of a journey', () => {
  it('says first what will happen, and changes at the second word, once', async () => {
    await opened(StateBar, draft())
    expect(open.text()).toContain('Nobody enters a draft.')
    await press('Open…')
    expect(open.text()).toContain('Whoever joins from now on enters.')
    expect(changes()).toEqual([])
    doors.answer(`PUT ${SELF}/state`, draft({ version: 2, stateChanges: [] }))
    const go = doors.hold()
    await key('Open now').trigger('click')
    expect(key('Open now').element.disabled).toBe(true)
    await key('Open now').trigger('click')
    go()
    await flushPromises()
    expect(changes()).toEqual([{ version: 1, state: 'OPEN', by: null, finishBegun: false }])
    expect(key('Open now')).toBeUndefined()
  })

  it('can be left as it is, and says nothing is sent by itself', async () => {
    await opened(StateBar, draft())
    await press('Open…')
    await press('Leave it')
    expect(open.text()).not.toContain('Whoever joins from now on enters.')
    await press('Open…')
    await open.get('section').trigger('keydown', { key: 'Escape' })
    expect(key('Open now')).toBeUndefined()
    expect(changes()).toEqual([])
  })

  it('is not opened while something is wrong, and leads to what is', async () => {
    const finding = { severity: 'ERROR', sentence: 'Email a has no message.', step: 'a' }
    const note = { severity: 'NOTE', sentence: 'It is short.', step: null }
    await opened(StateBar, draft({ findings: [finding, note] as never }))
    await press('Open…')
    expect(open.text()).toContain('It cannot be opened yet.')
    expect(open.text()).not.toContain('It is short.')
    expect(key('Open now')).toBeUndefined()
    await press('Show')
    expect(useSelection().selected).toBe('a')
  })

  it('is not opened with an edit that is not saved, so that what is seen is what runs', async () => {
    const store = await opened(StateBar, draft())
    await press('Open…')
    doors.answer(`PUT ${SELF}`, ({ body }: { body: { journey: JourneyDocument } }) =>
      draft({ version: 2, journey: body.journey }),
    )
    const go = doors.hold()
    store.edit('rename', (now) => ({ ...now, name: 'Renamed' }))
    await open.vm.$nextTick()
    expect(key('Open now').element.disabled).toBe(true)
    go()
    await flushPromises()
    expect(key('Open now').element.disabled).toBe(false)
    doors.answer(`PUT ${SELF}/state`, draft({ version: 3 }))
    await press('Open now')
    expect(changes()[0]).toMatchObject({ version: 2 })
  })

  it('says where mail goes that leaves this machine', async () => {
    await opened(StateBar, draft({ mailLeavesTo: 'mail.example.com' }))
    await press('Open…')
    expect(open.text()).toContain('Mail leaves this machine: it goes to mail.example.com.')
  })

  it('asks what becomes of those inside, who go on unless they are to finish', async () => {
    const change = { ...opening, goOn: 'They go on by the new plan.', finishBegun: 'They finish.' }
    await opened(StateBar, draft({ stateChanges: [change] }))
    await press('Open…')
    const [goOn, finish] = open.findAll<HTMLInputElement>('[type=radio]')
    expect(goOn!.element.checked).toBe(true)
    await finish!.setValue()
    await press('Leave it')
    await press('Open…')
    expect(open.findAll<HTMLInputElement>('[type=radio]')[0]!.element.checked).toBe(true)
    await open.findAll('[type=radio]')[1]!.setValue()
    doors.refuse(`PUT ${SELF}/state`, 'Somebody else has opened it.')
    await press('Open now')
    expect(open.text()).toContain('Somebody else has opened it.')
    expect(changes()[0]).toMatchObject({ finishBegun: true })
  })
})

describe('two versions of a journey', () => {
  const line = (row: string, kind: string, before: string | null, after: string | null) => ({
    row,
    kind,
    before,
    after,
  })
  const theirs = draft({ version: 4, journey: { ...journey, name: 'Theirs' } })
  const problem = {
    status: 409,
    code: 'save-lost',
    detail: 'Somebody else has saved since.',
    current: theirs,
    yours: {
      journey: { ...journey, name: 'Mine' },
      changedHere: ['name'],
      difference: [
        line('name', 'CHANGED', 'Called Theirs', 'Called Mine'),
        line('a', 'SAME', 'Email a', 'Email a'),
        line('c', 'ADDED', null, 'Email c'),
        line('b', 'MOVED', 'Email b', 'Email b'),
      ],
    },
  }

  /** A journey whose save has just lost its race. */
  async function lost() {
    const store = await opened(SaveConflict, draft(), { problem })
    doors.tooLate(`PUT ${SELF}`, problem.detail, theirs)
    store.edit('rename', (now) => ({ ...now, name: 'Mine' }))
    await flushPromises()
    expect(store.save.status).toBe('lost')
    doors.answer(`PUT ${SELF}`, ({ body }: { body: { journey: JourneyDocument } }) =>
      draft({ version: 5, journey: body.journey }),
    )
    return store
  }
  const merged = () => doors.at('POST /api/arrangements/merges').map((one) => one.body)

  it('are seen line by line, at first as they were changed here', async () => {
    await lost()
    const rows = open.findAll('li').map((one) => one.text().replace(/\s+/g, ' '))
    expect(rows).toEqual([
      'TheirsCalled TheirsYoursCalled Mine',
      'Theirswithout this lineYoursEmail c',
      'TheirsEmail b where they have itYoursEmail b where you put it',
    ])
    const radios = open.findAll<HTMLInputElement>('[type=radio]').map((one) => one.element.checked)
    expect(radios).toEqual([false, true, true, false, true, false])
  })

  it('are put together as chosen, and undo brings back what was here', async () => {
    const store = await lost()
    doors.answer('POST /api/arrangements/merges', { ...journey, name: 'Both' })
    await open.findAll('[type=radio]')[3]!.trigger('change')
    await press('Save as chosen')
    expect(merged()[0]).toMatchObject({ rows: ['name', 'c'], ours: { name: 'Mine' } })
    expect(store.journey!.name).toBe('Both')
    expect(store.save.status).toBe('saved')
    store.undo()
    expect(store.journey!.name).toBe('Mine')
    store.undo()
    expect(store.journey!.name).toBe('Theirs')
  })

  it('keep what is edited while they are put together', async () => {
    const store = await lost()
    doors.answer(
      'POST /api/arrangements/merges',
      ({ body }: { body: { ours: JourneyDocument } }) => ({
        ...body.ours,
        purpose: 'CART',
      }),
    )
    const go = doors.hold()
    await key('Save as chosen').trigger('click')
    store.edit('rename', (now) => ({ ...now, name: 'Mine, and more' }))
    go()
    await flushPromises()
    expect(store.journey!.name).toBe('Mine, and more')
    expect(merged()).toHaveLength(2)
  })

  it('become theirs without asking anybody, or stay as they are where that fails', async () => {
    const store = await lost()
    doors.refuse('POST /api/arrangements/merges', 'A row is in both.')
    await press('Save as chosen')
    expect(open.text()).toContain('A row is in both.')
    expect(store.journey!.name).toBe('Mine')
    await press('Keep all of theirs')
    expect(store.journey!.name).toBe('Theirs')
    expect(merged()).toHaveLength(1)
  })
})

describe('versions that were saved', () => {
  const version = (number: number, change = {}) => ({
    version: number,
    name: null,
    savedAt: '2027-03-01T09:00:00Z',
    savedBy: null,
    saves: 1,
    ...change,
  })
  async function versions() {
    doors.answer(`GET ${SELF}/versions`, [
      version(3, { saves: 12, savedBy: 'Mira' }),
      version(2, { name: 'Before the voucher' }),
    ])
    doors.answer(`GET ${SELF}/versions/2`, {
      version: 2,
      journey: { ...journey, name: 'As it was' },
      difference: [
        { row: 'a', kind: 'SAME', before: 'Email a', after: 'Email a' },
        { row: 'b', kind: 'ADDED', before: null, after: 'Email b' },
      ],
    })
    return opened(VersionsPanel, draft({ version: 3 }))
  }

  it('are gone back to as an edit that undo takes back', async () => {
    const store = await versions()
    expect(open.get('[aria-label=Versions]').text()).toContain('Mira, 12 saves')
    expect(open.text()).toContain('Nothing that was saved is ever lost.')
    await press(open.findAll('li button')[1]!.text())
    await flushPromises()
    expect(open.text()).toContain('Email b')
    expect(open.text()).not.toContain('Email a')
    await open.get('[type=checkbox]').setValue(true)
    expect(open.text()).toContain('Email a')
    await press('Go back to it')
    expect(store.journey!.name).toBe('As it was')
    store.undo()
    expect(store.journey!.name).toBe('A test')
  })

  it('get a name, and say why one cannot be called so', async () => {
    await versions()
    await press(open.findAll('li button')[1]!.text())
    await flushPromises()
    doors.refuse(`PUT ${SELF}/versions/2/name`, 'Another version is called so.')
    const name = open.findAll<HTMLInputElement>('input.field')[1]!
    name.element.value = 'Spring'
    await name.trigger('change')
    await flushPromises()
    expect(doors.at(`PUT ${SELF}/versions/2/name`)[0]!.body).toEqual({ name: 'Spring' })
    expect(open.text()).toContain('Another version is called so.')
  })
})
