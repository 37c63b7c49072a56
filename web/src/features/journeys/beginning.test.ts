import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import { page, plugins } from '@/testing'
import ImportPanel from './ImportPanel.vue'
import JourneysView from './JourneysView.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const words = (text: string) => ({ spans: [{ text, strong: false }] })
const read = (name: string, change = {}) => ({
  id: null,
  name,
  note: '',
  sheet: { opening: { id: 'o', sentence: words('Starts'), typed: words('') }, rows: [] },
  adds: [`Message “${name}”.`],
  clashes: [],
  ...change,
})

let open: VueWrapper
beforeEach(() => doors.clear())
afterEach(() => open.unmount())
const global = () => ({ plugins: [...plugins()] as never[] })
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

describe('a journey from a file', () => {
  /** Chooses a file as somebody would. */
  async function choose(text: string) {
    const field = open.get<HTMLInputElement>('input[type=file]')
    Object.defineProperty(field.element, 'files', {
      configurable: true,
      value: [{ text: async () => text }],
    })
    await field.trigger('change')
    await flushPromises()
  }
  const asked = () => doors.at('POST /api/imports').map((one) => one.body)
  const opened = () => {
    open = mount(ImportPanel, { attachTo: page(), global: global() })
  }

  it('is read before it is kept, and kept with what was chosen of what clashes', async () => {
    const clashes = [{ key: 'message/m1', sentence: 'Message “Hello” says something else here.' }]
    doors.answer('POST /api/imports', read('First frames', { clashes }))
    opened()
    await choose('{}')
    expect(open.text()).toContain('Message “Hello” says something else here.')
    await open.get('[type=checkbox]').setValue(true)
    doors.answer('POST /api/imports', read('First frames', { id: 12 }))
    await press('Bring it in as a draft')
    expect(asked()).toEqual([
      { text: '{}', keep: false, overwrite: [] },
      { text: '{}', keep: true, overwrite: ['message/m1'] },
    ])
    expect(open.emitted('done')).toEqual([[12]])
  })

  it('comes in once, however often its key is pressed', async () => {
    doors.answer('POST /api/imports', read('First frames'))
    opened()
    await choose('{}')
    const go = doors.hold()
    await press('Bring it in as a draft')
    expect(key('Bring it in as a draft').element.disabled).toBe(true)
    await press('Bring it in as a draft')
    go()
    await flushPromises()
    expect(asked().filter((one) => (one as { keep: boolean }).keep)).toHaveLength(1)
  })

  it('can be brought in again where that failed, with what was chosen', async () => {
    const clashes = [{ key: 'message/m1', sentence: 'It clashes.' }]
    doors.answer('POST /api/imports', read('First frames', { clashes }))
    opened()
    await choose('{}')
    await open.get('[type=checkbox]').setValue(true)
    doors.refuse('POST /api/imports', 'The disk is full: nothing was brought in.')
    await press('Bring it in as a draft')
    expect(open.text()).toContain('The disk is full: nothing was brought in.')
    doors.answer('POST /api/imports', read('First frames', { id: 4 }))
    await press('Bring it in as a draft')
    expect(asked().at(-1)).toEqual({ text: '{}', keep: true, overwrite: ['message/m1'] })
  })

  it('that cannot be read says where, and nothing of the one before is left', async () => {
    doors.answer('POST /api/imports', read('First frames'))
    opened()
    await choose('{}')
    doors.refuse('POST /api/imports', 'Two things are wrong.', {
      '/body/0': 'There is no such step.',
      '/goal': 'A goal says what is wanted.',
    })
    await choose('[]')
    expect(open.text()).not.toContain('First frames')
    expect(key('Bring it in as a draft')).toBeUndefined()
    expect(open.findAll('li').map((one) => one.text())).toEqual([
      'There is no such step. /body/0',
      'A goal says what is wanted. /goal',
    ])
  })

  it('is the one that was chosen last, though the one before is answered later', async () => {
    const waiting: ((name: string) => void)[] = []
    doors.answer(
      'POST /api/imports',
      () => new Promise((done) => waiting.push((name) => done(read(name)))),
    )
    opened()
    await choose('first')
    await choose('second')
    waiting[1]!('Second')
    await flushPromises()
    waiting[0]!('First')
    await flushPromises()
    expect(open.get('h2').text()).toBe('Second')
    expect(key('Bring it in as a draft').element.disabled).toBe(false)
  })
})

describe('the journeys', () => {
  const overview = (names: string[], change = {}) => ({
    journeys: names.map((name, at) => ({
      card: {
        id: at + 1,
        name,
        purpose: 'DATE_BASED',
        state: 'DRAFT',
        opening: words('Starts when a date comes'),
        goal: words('no goal'),
        body: [],
        sketch: {},
        findings: at,
        worst: at ? 'ERROR' : null,
        firstPlace: at ? 's1' : null,
      },
      run: null,
    })),
    inAll: names.length,
    total: names.length,
    archived: 0,
    ...change,
  })
  async function opened() {
    doors.answer('GET /api/first-steps', { steps: [] })
    open = mount(JourneysView, {
      attachTo: page(),
      global: { ...global(), stubs: { FirstSteps: true, TrellisThumbnail: true } },
    })
    await flushPromises()
  }

  it('say what stands in the way of each, and lead to it', async () => {
    doors.answer('GET /api/journeys', overview(['First frames', 'Name day']))
    await opened()
    const rows = open.findAll('[aria-label="All journeys"] li')
    expect(rows[0]!.text()).toContain('no findings')
    expect(rows[0]!.text()).toContain('no dry run yet')
    expect(rows[0]!.text()).toContain('date-based')
    expect(rows[1]!.get('a.text-clay').text()).toContain('1 finding, cannot open')
    expect(rows[1]!.get('a.text-clay').attributes('href')).toBe('/journeys/2?step=s1')
  })

  it('are begun once, however often the key is pressed, and refused in words', async () => {
    doors.answer('GET /api/journeys', overview([]))
    await opened()
    await press('Plan the first journey')
    await open.get('form input').setValue('First frames')
    doors.refuse('POST /api/journeys', 'Another journey is called so.')
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(open.text()).toContain('Another journey is called so.')
    expect(open.get<HTMLInputElement>('form input').element.value).toBe('First frames')
    doors.answer('POST /api/journeys', { id: 9 })
    const go = doors.hold()
    await open.get('form').trigger('submit')
    expect(key('Start planning').element.disabled).toBe(true)
    go()
    await flushPromises()
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/journeys/9')
  })

  it('are found by words; none is said to be none of those', async () => {
    doors.answer('GET /api/journeys', ({ query }: { query: { find: string } }) =>
      overview(query.find ? [] : ['First frames'], { inAll: 1 }),
    )
    await opened()
    await open.get('[type=search]').setValue('swarm')
    await new Promise((done) => setTimeout(done, 200))
    await flushPromises()
    expect(open.text()).toContain('No journey fits “swarm”.')
    expect(open.text()).not.toContain('No journeys yet')
  })
})
