import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import { page, plugins } from '@/testing'
import KeptMenu from './KeptMenu.vue'
import SideBySideView from './SideBySideView.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const run = (id: number, change = {}) => ({
  id,
  number: 0,
  journeyId: id,
  journeyName: `Journey ${id}`,
  journeyVersion: 1,
  purpose: ['WELCOME', 'CART', 'NURTURE', 'DATE_BASED'][id % 4],
  name: null,
  aside: false,
  seed: 3,
  cohort: null,
  people: 5000,
  journeys: 1,
  madeAt: '2027-03-01T09:00:00Z',
  goal: null,
  ...change,
})
const cell = (step: string) => ({ step, against: { sentence: `${step} differs by 2 points.` } })
const comparison = (change = {}) => ({
  peopleSentence: 'The same 5,000 people.',
  columns: [],
  versions: [],
  comparison: {
    table: {
      lineUp: 'EMAIL_ORDER',
      baseline: 0,
      rows: [
        { label: 'email 1', cells: [cell('a'), cell('x')] },
        { label: 'email 2', cells: [cell('b'), cell('y')] },
      ],
    },
    standsOut: [],
    wholes: [],
    ...change,
  },
})

let open: VueWrapper
beforeEach(() => {
  doors.clear()
  doors.answer('GET /api/dry-runs', { runs: [run(1), run(2), run(3)], total: 3 })
  doors.answer('GET /api/comparisons', comparison())
  doors.answer('GET /api/kept-comparisons', [])
})
afterEach(() => open.unmount())

const QUIET = {
  CompareTable: true,
  CompareCurves: true,
  WholeTable: true,
  StandOutList: true,
  RunPicker: true,
  KeptMenu: true,
  NoComparison: true,
}
async function opened(query: Record<string, string> = {}) {
  const all = plugins()
  await all[1].push({ path: '/', query })
  open = mount(SideBySideView, {
    attachTo: page(),
    global: { plugins: [...all] as never[], stubs: QUIET },
  })
  await flushPromises()
}
const query = () => open.vm.$router.currentRoute.value.query
const asked = () => doors.at('GET /api/comparisons').at(-1)?.query
const part = (name: string) => open.getComponent({ name })
async function does(name: string, event: string, ...what: unknown[]) {
  part(name).vm.$emit(event, ...what)
  await flushPromises()
}

describe('runs side by side', () => {
  it('are compared from two on, and stand in the address for a reload', async () => {
    await opened()
    expect(asked()).toBeUndefined()
    await does('RunPicker', 'toggle', '1')
    expect(asked()).toBeUndefined()
    await does('RunPicker', 'toggle', '3')
    expect(query().runs).toBe('1,3')
    expect(asked()).toMatchObject({ baseline: '0', compared: 'OPENED' })
    expect(open.text()).toContain('The same 5,000 people.')
  })

  it('come back from an address as they were, and what is no run in it is left out', async () => {
    await opened({ runs: '2,oops,3.1,1', with: '2', by: 'DAYS', show: 'CLICKED' })
    expect(asked()).toMatchObject({ baseline: '2', lineUp: 'DAYS', compared: 'CLICKED' })
    const report = open.findAll('a').find((one) => one.text() === 'Report')!
    expect(decodeURIComponent(report.attributes('href')!)).toBe(
      '/api/comparisons.html?runs=2,3.1,1&baseline=2&lineUp=DAYS&compared=CLICKED',
    )
  })

  it('keep the one that is compared with when others come and go', async () => {
    await opened({ runs: '1,2,3', with: '2' })
    await does('RunPicker', 'toggle', '1')
    expect(query()).toMatchObject({ runs: '2,3', with: '1' })
    await does('RunPicker', 'toggle', '3')
    expect(query()).toMatchObject({ runs: '2' })
    expect(query().with).toBeUndefined()
    await does('RunPicker', 'toggle', '2')
    expect(query().runs).toBeUndefined()
  })

  it('with an address that compares with more than there are compare with the last', async () => {
    await opened({ runs: '1,2', with: '7' })
    expect(asked()).toMatchObject({ baseline: '1' })
  })

  it('show what a finding speaks of, with the measure that shows it', async () => {
    Element.prototype.scrollIntoView = vi.fn()
    await opened({ runs: '1,2' })
    doors.answer('GET /api/comparisons', () => comparison({ shown: 'clicked' }))
    await does('StandOutList', 'show', { step: 'y', run: 1, shows: 'CLICKED', text: '' })
    await flushPromises()
    expect(query().show).toBe('CLICKED')
    expect(part('CompareTable').props('chosen')).toEqual({ row: 'email 2', run: 1 })
    expect(open.get('[data-told]').text()).toBe('y differs by 2 points.')
  })

  it('say why they cannot be compared, and show nothing old beside it', async () => {
    await opened({ runs: '1,2' })
    doors.refuse('GET /api/comparisons', 'Run 9 was deleted.')
    await does('RunPicker', 'toggle', '9')
    expect(open.text()).toContain('Run 9 was deleted.')
    expect(open.text()).not.toContain('The same 5,000 people.')
  })
})

describe('comparisons that are kept', () => {
  const kept = {
    id: 4,
    name: 'Spring',
    runs: ['1', '2'],
    baseline: 0,
    lineUp: 'DAYS',
    compared: 'OPENED',
  }
  const now = { runs: ['1', '2'], baseline: 1, lineUp: 'DAYS', compared: 'OPENED' } as const
  beforeEach(async () => {
    doors.answer('GET /api/kept-comparisons', [kept])
    open = mount(KeptMenu, {
      props: { now: { ...now, runs: [...now.runs] } },
      attachTo: page(),
      global: { plugins: [...plugins()] as never[] },
    })
    await open.get('button').trigger('click')
    await flushPromises()
  })

  it('keep what is shown under a name, and say why it cannot be called so', async () => {
    const name = () => open.get<HTMLInputElement>('input')
    await name().setValue('Spring')
    doors.refuse('POST /api/kept-comparisons', 'Another comparison is called so.')
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(open.get('[role=alert]').text()).toBe('Another comparison is called so.')
    expect(name().element.value).toBe('Spring')
    doors.answer('POST /api/kept-comparisons', { id: 5 })
    await name().setValue('Summer')
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(doors.at('POST /api/kept-comparisons').at(-1)!.body).toEqual({ name: 'Summer', ...now })
    expect(name().element.value).toBe('')
  })

  it('are opened as they were', async () => {
    const spring = open.findAll('button').find((one) => one.text().startsWith('Spring'))!
    await spring.trigger('click')
    expect(open.emitted('open')).toEqual([[kept]])
  })
})
