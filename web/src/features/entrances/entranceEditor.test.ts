import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { EntranceDocument, EntranceView } from '@/api/types'
import { page, plugins } from '@/testing'
import ChoicesView from './ChoicesView.vue'
import EntranceEditor from './EntranceEditor.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const entrance = (change: Partial<EntranceDocument> = {}): EntranceDocument => ({
  name: 'Planner on the website',
  title: 'Your hive planner',
  asks: [],
  agreement: 'I want letters about bees.',
  confirms: true,
  lists: ['Newcomers'],
  tags: [],
  button: 'Send it to me',
  then: { kind: 'words', words: 'Look into your mailbox.' },
  above: null,
  handsOut: null,
  tells: null,
  ...change,
})

const view = (change: Partial<EntranceView> = {}): EntranceView => ({
  id: 4,
  version: 7,
  entrance: entrance(),
  on: false,
  path: '/forms/4',
  sheet: ['Asks for the address.'],
  findings: [],
  days: [],
  today: '2027-03-01',
  signUps: 0,
  visits: 0,
  starts: [],
  ways: {} as EntranceView['ways'],
  ...change,
})

let open: VueWrapper
async function opened(change: Partial<EntranceView> = {}) {
  open = mount(EntranceEditor, {
    props: { entrance: view(change) },
    attachTo: page(),
    global: {
      plugins: [...plugins()] as never[],
      stubs: { DaysPicture: true, WaysIn: true, PagePicture: true },
    },
  })
  await flushPromises()
}

beforeEach(() => {
  doors.clear()
  sessionStorage.clear()
  doors.answer('POST /api/entrances/looks', {
    sheet: ['Asks for the address, and puts them on Newcomers.'],
    findings: [],
    html: '<p>The form</p>',
  })
  doors.answer('PUT /api/entrances/4', ({ body }: { body: unknown }) => {
    const { entrance: kept, version } = body as { entrance: EntranceDocument; version: number }
    return view({ entrance: kept, version: version + 1 })
  })
})
afterEach(() => open.unmount())

const button = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await button(words).trigger('click')
  await flushPromises()
}
const saved = () =>
  doors.at('PUT /api/entrances/4').at(-1)!.body as { entrance: EntranceDocument; version: number }

describe('an entrance', () => {
  it('is kept as it was changed, with names that commas part', async () => {
    await opened()
    await open.get('#title').setValue('The planner')
    await open.get('#lists').setValue('Newcomers,  Planners ,')
    await open.get('#lists').trigger('change')
    await press('Save')
    expect(saved()).toEqual({
      entrance: entrance({ title: 'The planner', lists: ['Newcomers', 'Planners'] }),
      version: 7,
    })
  })

  it('says that its name is taken, though no field here is for it', async () => {
    await opened()
    await open.get('#title').setValue('')
    doors.refuse('PUT /api/entrances/4', 'Two things are wrong.', {
      '/entrance/name': 'Another entrance is called so.',
      '/entrance/title': 'A page has a title.',
    })
    await press('Save')
    expect(open.get('p.warning[role=alert]').text()).toBe('Another entrance is called so.')
    expect(open.get('#title').element.parentElement!.textContent).toContain('A page has a title.')
  })

  it('stays as it was typed when somebody else was faster, and saves over it at the second word', async () => {
    await opened()
    await open.get('#title').setValue('Mine')
    const theirs = view({ version: 8, entrance: entrance({ title: 'Theirs' }) })
    doors.tooLate('PUT /api/entrances/4', 'Somebody else has changed this entrance.', theirs)
    await press('Save')
    expect(open.get('[role=alert]').text()).toContain('undo to have theirs')
    await open.setProps({ entrance: theirs })
    expect(open.get<HTMLInputElement>('#title').element.value).toBe('Mine')
    await press('Undo')
    expect(open.get<HTMLInputElement>('#title').element.value).toBe('Theirs')
  })

  it('leads where it is told to, begins each way with something, and forgets what is empty', async () => {
    await opened()
    await open.get('#then').setValue('address')
    expect(
      open.get<HTMLInputElement>('[aria-label="The web address it leads to"]').element.value,
    ).toBe('https://')
    await open.get('#then').setValue('words')
    await press('Save')
    expect(saved().entrance.then).toEqual({ kind: 'words', words: '' })
  })

  it('lets nobody in with changes that are not saved, or while something is broken', async () => {
    await opened()
    expect(button('Let people in').element.disabled).toBe(false)
    await open.get('#title').setValue('Another')
    expect(button('Let people in').element.disabled).toBe(true)
    open.unmount()
    sessionStorage.clear()
    doors.answer('POST /api/entrances/looks', {
      sheet: [],
      findings: [
        { code: 'no-list', sentence: 'It puts people nowhere.', severity: 'ERROR', mend: null },
      ],
      html: '',
    })
    await opened()
    await new Promise((done) => setTimeout(done, 120))
    await flushPromises()
    expect(open.get('[aria-label=Findings]').text()).toContain('It puts people nowhere.')
    expect(button('Let people in').element.disabled).toBe(true)
  })

  it('can always be turned off, also while it is broken', async () => {
    const findings = [
      { code: 'no-list', sentence: 'It puts people nowhere.', severity: 'ERROR', mend: null },
    ] as EntranceView['findings']
    await opened({ on: true, findings })
    doors.answer('DELETE /api/entrances/4/on', view())
    await press('Turn it off')
    expect(doors.at('DELETE /api/entrances/4/on')).toHaveLength(1)
  })

  it('is mended by the key beside what is wrong, which can be undone', async () => {
    const mended = entrance({ agreement: 'I want letters; I can leave at any time.' })
    doors.answer('POST /api/entrances/looks', {
      sheet: [],
      findings: [
        {
          code: 'agreement',
          sentence: 'It does not say how to leave.',
          severity: 'WARNING',
          mend: { words: 'Say it', entrance: mended },
        },
      ],
      html: '',
    })
    await opened()
    await new Promise((done) => setTimeout(done, 120))
    await flushPromises()
    await press('Say it')
    const agreement = () => open.get<HTMLTextAreaElement>('#agreement').element.value
    expect(agreement()).toBe(mended.agreement)
    await press('Undo')
    expect(agreement()).toBe('I want letters about bees.')
  })
})

describe('the page of choices', () => {
  const choices = { page: { title: 'Your choices', asks: [], lists: ['News'], howOften: false } }

  it('is kept over its own version, and says what cannot be kept', async () => {
    doors.answer('GET /api/choices-page', { ...choices, version: 2 })
    open = mount(ChoicesView, {
      attachTo: page(),
      global: {
        plugins: [...plugins()] as never[],
        stubs: { EntrancesFrame: { template: '<div><slot /></div>' }, PagePicture: true },
      },
    })
    await flushPromises()
    await open.get('#lists').setValue('News, Nowhere')
    await open.get('#lists').trigger('change')
    doors.refuse('PUT /api/choices-page', 'No.', { '/page/lists/1': 'There is no list Nowhere.' })
    await press('Save')
    expect(open.get('[role=alert]').text()).toBe('There is no list Nowhere.')
    expect(open.get<HTMLInputElement>('#lists').element.value).toBe('News, Nowhere')
    expect(doors.at('PUT /api/choices-page')[0]!.body).toEqual({
      page: { ...choices.page, lists: ['News', 'Nowhere'] },
      version: 2,
    })
  })
})
