import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { NameEdit, NameView } from '@/api/types'
import { page, plugins } from '@/testing'
import { detail, KINDS, written } from './kinds'
import NameList from './NameList.vue'
import NamePanel from './NamePanel.vue'
import SegmentPanel from './SegmentPanel.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const name = (change: Partial<NameView> = {}): NameView => ({
  id: 1,
  kind: 'TAG',
  name: 'market',
  about: null,
  group: null,
  fieldType: null,
  choices: [],
  category: null,
  priceCents: null,
  people: 3,
  happened: 0,
  found: 'have tag market',
  usedBy: [],
  deleting: ['3 people lose it.'],
  ...change,
})

let open: VueWrapper
afterEach(() => open.unmount())
beforeEach(() => doors.clear())
const global = () => ({ plugins: [...plugins()] as never[] })

const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

function panel(one: NameView, others: NameView[] = [one]) {
  open = mount(NamePanel, {
    props: { id: one.id, given: written(one), view: one, others },
    attachTo: page(),
    global: global(),
  })
}
const submit = async () => {
  await open.get('form').trigger('submit')
  await flushPromises()
}
const sent = (door: string) => doors.at(door).map((one) => one.body as NameEdit)

describe('a name', () => {
  const product = name({ id: 9, kind: 'PRODUCT', name: 'Hive kit', priceCents: 12_900 })

  it.each([
    ['19.90', 1990],
    ['19,9', 1990],
    [' 7 ', 700],
    ['0', 0],
    ['', null],
    ['0.29', 29],
  ])('costs what is written: %s', async (price, cents) => {
    panel(product)
    expect(open.get<HTMLInputElement>('#name-price').element.value).toBe('129.00')
    await open.get('#name-price').setValue(price)
    await submit()
    expect(sent('PUT /api/names/9')[0]!.priceCents).toBe(cents)
  })

  it('does not lose its price because nobody can read what is written', async () => {
    panel(product)
    await open.get('#name-price').setValue('about 100')
    await submit()
    expect(doors.asked).toEqual([])
    expect(open.get('#name-price-note').text()).toBe('A price is a number, such as 12.50.')
    expect(open.get<HTMLInputElement>('#name-price').element.value).toBe('about 100')
    await open.get('#name-price').setValue('100')
    await submit()
    expect(sent('PUT /api/names/9')[0]!.priceCents).toBe(10_000)
    expect(open.find('#name-price-note').exists()).toBe(false)
  })

  it('says before it is renamed that whatever uses it follows', async () => {
    panel(name({ usedBy: [{ what: 'JOURNEY', id: '4', name: 'First frames' }] }))
    expect(key('Save')).toBeDefined()
    await open.get('#name-name').setValue('markets')
    expect(open.get('#name-name-note').text()).toContain('also in what uses it below')
    doors.refuse('PUT /api/names/1', 'No.', { '/name': 'Another tag is called so.' })
    await press('Rename everywhere')
    await submit()
    expect(open.get('#name-name-note').text()).toBe('Another tag is called so.')
    expect(open.emitted('saved')).toBeUndefined()
  })

  it('has choices a line each; empty lines are none', async () => {
    panel(name({ kind: 'FIELD', fieldType: 'ONE_OF', choices: ['meadow', 'roof'] }))
    await open.get('#name-choices').setValue('meadow\n\n  roof garden \n')
    await submit()
    expect(sent('PUT /api/names/1')[0]!.choices).toEqual(['meadow', 'roof garden'])
  })

  it('says what is wrong with a field that is not there to be seen', async () => {
    panel(name())
    doors.refuse('PUT /api/names/1', 'No.', { '/group': 'A group is called shorter.' })
    await submit()
    expect(open.text()).toContain('A group is called shorter.')
  })

  it('is deleted only at the second word, which says what goes with it', async () => {
    panel(name())
    doors.answer('DELETE /api/names/1', undefined)
    await press('Delete…')
    expect(open.get('[role=alertdialog]').text()).toContain('3 people lose it.')
    expect(doors.asked).toEqual([])
    await press('Delete market')
    expect(doors.at('DELETE /api/names/1')).toHaveLength(1)
    expect(open.emitted('saved')).toEqual([[null]])
  })

  it('is merged with another tag, never with itself or one that is not there yet', async () => {
    const others = [name(), name({ id: 2, name: 'fair' }), name({ id: null, name: 'used only' })]
    panel(others[0]!, others)
    await press('Merge with another tag…')
    expect(open.findAll('#name-into option').map((one) => one.text())).toEqual(['fair'])
    expect(key('Make one of them').element.disabled).toBe(true)
    await open.get('#name-into').setValue('2')
    doors.answer('POST /api/names/1/merges', others[1])
    await press('Make one of them')
    expect(sent('POST /api/names/1/merges')).toEqual([{ into: 2 }])
    expect(open.emitted('saved')![0]).toEqual([others[1]])
  })
})

describe('names in a list', () => {
  it('are those of one kind, and one that is used but not made can be made', async () => {
    doors.answer('GET /api/names', [
      name(),
      name({ id: null, name: 'new here', people: 0 }),
      name({ id: 5, kind: 'LIST', name: 'Newcomers' }),
    ])
    doors.answer('POST /api/names', name({ id: 7, name: 'new here' }))
    open = mount(NameList, {
      props: { kind: 'TAG' },
      attachTo: page(),
      global: { ...global(), stubs: { DataTable: LAID_OUT } },
    })
    await flushPromises()
    expect(open.text()).not.toContain('Newcomers')
    await open.get('[aria-label="Make new here"]').trigger('click')
    await flushPromises()
    expect(open.get<HTMLInputElement>('#name-name').element.value).toBe('new here')
    await submit()
    expect(sent('POST /api/names')[0]).toMatchObject({ kind: 'TAG', name: 'new here' })
  })

  /** A table without a height shows no rows; this one shows all. */
  const LAID_OUT = {
    props: ['rows', 'columns'],
    template: `<table><tr v-for="row in rows"><td v-for="one in columns">
      <slot :name="'cell-' + one.id" :row="row" /></td></tr></table>`,
  }

  it('say in words what they hold and whose they are', () => {
    expect(detail(name({ kind: 'FIELD' }))).toBe('nothing yet')
    expect(detail(name({ kind: 'FIELD', fieldType: 'YES_NO' }))).toBe('yes or no')
    expect(detail(name({ kind: 'PRODUCT', category: 'Hives', priceCents: 950 }))).toBe(
      'Hives, 9.50',
    )
    expect(detail(name({ kind: 'PRODUCT', priceCents: 0 }))).toBe('0.00')
    for (const kind of KINDS) expect(kind.whose(1)).not.toBe(kind.whose(2))
  })
})

describe('a segment', () => {
  const segment = {
    name: 'Regulars',
    version: 3,
    says: 'have tag buyer',
    people: 40,
    usedBy: [{ what: 'JOURNEY' as const, id: '4', name: 'First frames' }],
  }
  const reading = (text: string) =>
    text === 'have tag'
      ? { meant: null, unclear: { why: 'Which tag?', from: 8, to: 8, offers: [] }, completions: [] }
      : { meant: { found: text.length, news: [] }, unclear: null, completions: [] }

  async function opened() {
    doors.answer('POST /api/people/readings', ({ body }: { body: { text: string } }) =>
      reading(body.text),
    )
    open = mount(SegmentPanel, { props: { segment }, attachTo: page(), global: global() })
    await flushPromises()
  }
  async function typed(text: string) {
    await open.get('textarea').setValue(text)
    await new Promise((done) => setTimeout(done, 180))
    await flushPromises()
  }

  it('says how many it would mean instead, and that what uses it follows', async () => {
    await opened()
    expect(open.text()).toContain('14 people now.')
    expect(key('Save').element.disabled).toBe(true)
    await typed('have tag regular')
    expect(open.text()).toContain('16 people instead of 40.')
    expect(open.text()).toContain('Whatever uses it will mean these people from then on.')
    doors.answer('PUT /api/people/segments/Regulars', { ...segment, version: 4 })
    await submit()
    expect(doors.at('PUT /api/people/segments/Regulars')[0]!.body).toEqual({
      find: 'have tag regular',
      version: 3,
    })
  })

  it('is not saved while nobody understands it', async () => {
    await opened()
    await typed('have tag')
    expect(open.text()).toContain('Which tag?')
    expect(key('Save').element.disabled).toBe(true)
  })

  it('stays if it cannot be deleted, and says what uses it', async () => {
    await opened()
    doors.refuse('DELETE /api/people/segments/Regulars', 'First frames asks who is in it.')
    await press('Delete…')
    await press('Delete Regulars')
    expect(open.text()).toContain('First frames asks who is in it.')
    expect(open.emitted('gone')).toBeUndefined()
  })
})
