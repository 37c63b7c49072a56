import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { TableOrder, TableView } from '@/api/types'
import { page, plugins } from '@/testing'
import BringInView from './BringInView.vue'
import TablePlan from './TablePlan.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const plan = { use: 'ADDRESS', field: null, type: null, dates: null, decimal: null }
const table = {
  id: 3,
  name: 'fair.csv',
  rows: 120,
  form: { delimiter: ',', encoding: 'UTF-8', header: true },
  encodings: ['UTF-8', 'windows-1252'],
  columns: [{ head: 'mail', samples: ['ida@example.com'], plan, asks: null }],
} as unknown as TableView
const CHECK = 'POST /api/people-tables/3/checks'
const said = (sentence: string) => ({ sentences: [sentence], refusals: [], rows: 120 })

let open: VueWrapper
beforeEach(() => {
  doors.clear()
  doors.answer('GET /api/account', { account: { zone: 'Europe/Berlin' } })
  doors.answer(CHECK, ({ body }: { body: TableOrder }) =>
    said(body.startsJourneys ? '120 people enter First frames.' : '120 people come in.'),
  )
})
afterEach(() => open.unmount())
const global = () => ({ plugins: [...plugins()] as never[] })
async function settled() {
  await new Promise((done) => setTimeout(done, 300))
  await flushPromises()
}

describe('a table that is brought in', () => {
  async function opened() {
    open = mount(TablePlan, { props: { table }, attachTo: page(), global: global() })
    await flushPromises()
    await settled()
  }
  const key = () => open.get<HTMLButtonElement>('button[type=submit]')
  const submit = async () => {
    await open.get('form').trigger('submit')
    await flushPromises()
  }

  it('says what it will do before anybody is brought in, and again after each change', async () => {
    await opened()
    expect(open.text()).toContain('120 people come in.')
    expect(key().element.disabled).toBe(false)
    const go = doors.hold()
    await open.findAll('[type=checkbox]').at(-1)!.setValue(true)
    expect(key().element.disabled).toBe(true)
    await settled()
    expect(key().element.disabled).toBe(true)
    go()
    await flushPromises()
    expect(open.text()).toContain('120 people enter First frames.')
    expect(key().element.disabled).toBe(false)
  })

  it('is brought in with all that was said of it', async () => {
    await opened()
    await open.get('[value=THEY_AGREED]').setValue()
    await open.get('[aria-label="How it is known"]').setValue('signed at the stand')
    await open.get('#table-lists').setValue('Fair; Newcomers,')
    await open.get('#table-country').setValue('no')
    await settled()
    doors.answer('POST /api/people-tables/3/acts', { id: 1 })
    await submit()
    expect(doors.at('POST /api/people-tables/3/acts')[0]!.body).toEqual({
      columns: [plan],
      country: 'NO',
      known: 'BRING_UP_TO_DATE',
      lists: ['Fair', 'Newcomers'],
      tags: [],
      agreement: 'THEY_AGREED',
      agreed: 'signed at the stand',
      zone: 'Europe/Berlin',
      startsJourneys: false,
    })
    expect(open.emitted('begun')).toHaveLength(1)
  })

  it('says at each place what is missing, and elsewhere what belongs to none', async () => {
    await opened()
    doors.refuse('POST /api/people-tables/3/acts', 'Three things.', {
      '/agreement': 'Say whether they agreed.',
      '/zone': 'There is no such time zone.',
      '/startsJourneys': 'No journey is open.',
    })
    await submit()
    expect(open.text()).toContain('Say whether they agreed.')
    expect(open.get('#table-zone').attributes('aria-invalid')).toBe('true')
    expect(open.text()).toContain('No journey is open.')
    expect(open.emitted('begun')).toBeUndefined()
  })

  it('is not brought in while a column is unclear', async () => {
    doors.refuse(CHECK, 'No.', { '/columns/0': 'Say in which order dates stand there.' })
    await opened()
    expect(key().element.disabled).toBe(true)
    expect(open.text()).toContain('Say in which order dates stand there.')
    expect(open.text()).toContain('What it will do is said here once the columns are clear.')
  })

  it('is read anew with other commas, and stays as it was where that fails', async () => {
    await opened()
    doors.refuse('PUT /api/people-tables/3/form', 'With tabs it has one column only.')
    await open.findAll('select')[0]!.setValue('\t')
    await flushPromises()
    expect(open.text()).toContain('With tabs it has one column only.')
    expect(open.emitted('read')).toBeUndefined()
  })
})

describe('a table that is handed in', () => {
  beforeEach(async () => {
    doors.answer('GET /api/people-tables/3', table)
    doors.answer('POST /api/people-tables', table)
    open = mount(BringInView, { attachTo: page(), global: global() })
    await flushPromises()
  })
  const asked = () => doors.at('POST /api/people-tables')
  async function paste(on: Element, text: string) {
    const event = new Event('paste', { bubbles: true })
    Object.assign(event, { clipboardData: { getData: () => text, files: [] } })
    on.dispatchEvent(event)
    await flushPromises()
  }

  it('can be pasted, and is kept in the address for a reload', async () => {
    await paste(open.element, 'words without any address')
    expect(asked()).toEqual([])
    await paste(open.element, 'mail\tname\nida@example.com\tIda')
    expect(asked()).toHaveLength(1)
    expect(asked()[0]!.query).toEqual({ name: 'pasted table' })
    await flushPromises()
    expect(open.vm.$router.currentRoute.value.query.table).toBe('3')
  })

  it('is not put in the place of another by what is pasted into a field', async () => {
    await paste(open.element, 'mail\nida@example.com')
    await flushPromises()
    await paste(open.get('#table-lists').element, 'Friends of ida@example.com')
    expect(asked()).toHaveLength(1)
  })

  it('says why it cannot be read', async () => {
    doors.refuse('POST /api/people-tables', 'No column has addresses.')
    await paste(open.element, 'mail\n@')
    expect(open.text()).toContain('No column has addresses.')
  })
})
