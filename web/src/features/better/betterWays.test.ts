import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { Leeway, LeewayView, RunSheet, SearchStand, SearchWish, SizeView } from '@/api/types'
import { useJourneyStore } from '@/features/workbench/journeyStore'
import { email } from '@/features/workbench/newSteps'
import { testJourney } from '@/features/workbench/testJourney'
import { viewOf } from '@/features/workbench/testServer'
import { page, plugins } from '@/testing'
import BetterWaysTab from './BetterWaysTab.vue'
import SearchNote from './SearchNote.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})
vi.mock('vue-echarts', () => ({ default: { template: '<i />' } }))

const length: Leeway = { kind: 'length', step: 'w', from: 1, to: 5, by: 1 }
const tries: Leeway = { kind: 'tries', step: 'a', from: 0, to: 2 }
const seen = (leeway: Leeway, usual: boolean, levels: string[]): LeewayView => ({
  id: leeway.kind,
  step: 'step' in leeway ? leeway.step : null,
  leeway,
  subject: `of ${leeway.kind}`,
  levels,
  today: 0,
  sentence: `Let ${leeway.kind} vary`,
  usual,
})
const LEEWAYS = [
  seen(length, true, ['1 day', '3 days', '5 days']),
  seen(tries, false, ['never', 'once', 'twice']),
]
const SHEET = {
  rows: [
    { id: 'w', sentence: { spans: [{ text: 'Wait 3 days' }] } },
    { id: 'a', sentence: { spans: [{ text: 'Send Hello' }] } },
  ],
} as unknown as RunSheet

const figures = (goal: number) => ({
  goal: { value: goal, low: goal - 0.01, high: goal + 0.01 },
  emailsEach: 2.4,
  unsubscribed: { value: 0.004, low: 0.003, high: 0.005 },
  people: 5000,
})
const way = (verdict: boolean, change: string) => ({
  changes: [change],
  verdict,
  gain: '1.2 points more, 0.4 to 2.0.',
  sentence: 'It could be chance.',
  figures: figures(0.21),
  won: 1,
  elsewhere: [
    { words: 'keener people', difference: { points: 0.01 } },
    { words: 'lazier people', difference: { points: -0.01 } },
  ],
})
const found = (better: unknown[], change = {}) => ({
  sentence: better.length ? 'One way is better.' : 'Nothing better was found.',
  stopped: false,
  better,
  today: figures(0.2),
  otherPeople: 5000,
  impossible: 0,
  tried: [],
  ...change,
})

let open: VueWrapper
beforeEach(() => {
  doors.clear()
  sessionStorage.clear()
  doors.answer('GET /api/dry-runs/8/leeways', LEEWAYS)
  doors.answer('GET /api/dry-runs/8/better-ways', { found: null, wish: null })
  doors.answer('GET /api/sending-limits', { monthlyQuota: 50_000 })
  doors.answer('POST /api/dry-runs/8/search-sizes', ({ body }: { body: SearchWish }) => {
    const combinations = 3 ** body.vary.length
    return {
      size: { all: combinations < 9, combinations, personRuns: 0, tries: 5 },
      seconds: 12,
      vary: body.vary.map((one) => seen(one, true, ['as asked'])),
    } satisfies SizeView
  })
})
afterEach(() => open.unmount())

async function opened() {
  const pinia = createPinia()
  setActivePinia(pinia)
  open = mount(BetterWaysTab, {
    props: { run: 8, number: 0, journey: 1, people: 5000, sheet: SHEET, selected: null },
    attachTo: page(),
    global: { plugins: [...plugins(pinia)] as never[] },
  })
  await flushPromises()
  await settled()
}
async function settled() {
  await new Promise((done) => setTimeout(done, 190))
  await flushPromises()
}
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}
const box = (kind: string) => open.get<HTMLInputElement>(`[aria-label="Let ${kind} vary"]`)
const wished = () => doors.at('POST /api/dry-runs/8/search-sizes').at(-1)!.body as SearchWish

describe('what is looked for', () => {
  it('begins with what is usual, under the rows of the run sheet, and says how much that is', async () => {
    await opened()
    expect(box('length').element.checked).toBe(true)
    expect(box('tries').element.checked).toBe(false)
    expect(open.text()).toContain('Wait 3 days')
    expect(open.text()).toContain('3 combinations, about')
    expect(key('Look for better ways').element.disabled).toBe(false)
  })

  it('says what of many is tried, and nothing can be looked for where nothing varies', async () => {
    await opened()
    await box('tries').setValue(true)
    await settled()
    expect(open.text()).toContain('some 5 of 9 combinations')
    await box('tries').setValue(false)
    await box('length').setValue(false)
    await settled()
    expect(open.text()).toContain('Choose at least one thing that may vary.')
    expect(key('Look for better ways').element.disabled).toBe(true)
  })

  it('keeps ranges and limits that are typed, also over a reload; an emptied limit is none', async () => {
    await opened()
    const to = open.findAll('label').find((one) => one.text().startsWith('to'))!
    await to.get('input').setValue(9)
    const limit = () =>
      open
        .findAll('label')
        .find((one) => one.text().includes('unsubscribed at most'))!
        .get('input')
    await limit().setValue('0.5')
    await settled()
    expect(wished().vary).toEqual([{ ...length, to: 9 }])
    expect(wished().limits.unsubscribed).toBeCloseTo(0.005, 12)
    open.unmount()
    await opened()
    expect((limit().element as HTMLInputElement).value).toBe('0.5')
    await limit().setValue('')
    await settled()
    expect(wished().limits.unsubscribed).toBeNull()
  })

  it('asks what else belongs to what is wanted', async () => {
    await opened()
    await open.get('select').setValue('FEWER_EMAILS')
    const may = open.findAll('label').find((one) => one.text().includes('may fall by points'))!
    await may.get('input').setValue('1')
    await settled()
    expect(wished().wanted).toMatchObject({ what: 'FEWER_EMAILS', mayLose: 0.01 })
    await open.get('select').setValue('MONEY')
    expect(open.text()).toContain('less what 1,000 emails cost')
  })

  it('says why it cannot be looked for', async () => {
    doors.refuse('POST /api/dry-runs/8/search-sizes', 'A wait cannot be shorter than nothing.')
    await opened()
    expect(open.get('[role=alert]').text()).toBe('A wait cannot be shorter than nothing.')
    expect(key('Look for better ways').element.disabled).toBe(true)
  })
})

describe('ways that were found', () => {
  it('are told with what they bring, cost and withstand, beside today’s', async () => {
    const both = [way(true, 'Wait 2 days instead of 3.'), way(false, 'Try it once again.')]
    doors.answer('GET /api/dry-runs/8/better-ways', {
      found: found(both, { impossible: 4 }),
      wish: null,
    })
    await opened()
    const rows = open.get('[aria-label="Ways found"]').findAll(':scope > li')
    expect(rows[0]!.text()).toContain('1.2 points more, 0.4 to 2.0.')
    expect(rows[0]!.text()).toContain('still better in 1 of 2 worlds with other people')
    expect(rows[0]!.text()).toContain('lazier people: no better')
    expect(rows[1]!.text()).toContain('It could be chance.')
    expect(rows[1]!.text()).not.toContain('1.2 points more')
    expect(open.text()).toContain("Today's journey on the same 5,000 other people: goal 20.0%")
    expect(open.text()).toContain('4 combinations were left out')
  })

  it('can be none, which is a result', async () => {
    doors.answer('GET /api/dry-runs/8/better-ways', {
      found: found([], { stopped: true }),
      wish: null,
    })
    await opened()
    expect(open.text()).toContain('Nothing better was found. It was cut short.')
    expect(open.text()).toContain('Let something else vary')
    expect(key('Take it over')).toBeUndefined()
  })

  it('are taken over as one edit that can be undone', async () => {
    const journey = testJourney(email('a', 'm'))
    doors.answer('GET /api/dry-runs/8/better-ways', { found: found([way(true, 'x')]), wish: null })
    doors.answer('GET /api/journeys/1', viewOf(journey))
    doors.answer('PUT /api/journeys/1', ({ body }: { body: { journey: typeof journey } }) =>
      viewOf(body.journey, { version: 2 }),
    )
    doors.answer('GET /api/dry-runs/8/better-ways/0/journey', {
      name: 'wait 2 days',
      journey: { ...journey, name: 'Better' },
      behaviour: null,
    })
    await opened()
    await press('Take it over')
    await flushPromises()
    const store = useJourneyStore()
    expect(store.journey!.name).toBe('Better')
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/journeys/1')
    store.undo()
    expect(store.journey!.name).toBe('A test')
  })

  it('are not taken over where the journey has changed, which is said', async () => {
    doors.answer('GET /api/dry-runs/8/better-ways', { found: found([way(true, 'x')]), wish: null })
    doors.answer('GET /api/journeys/1', viewOf(testJourney(email('a', 'm'))))
    doors.refuse('GET /api/dry-runs/8/better-ways/0/journey', 'The journey has changed since.')
    await opened()
    await press('Take it over')
    await flushPromises()
    expect(open.get('[role=alert]').text()).toBe('The journey has changed since.')
    expect(useJourneyStore().canUndo).toBe(false)
  })

  it('are kept as a version with a run of its own, once', async () => {
    doors.answer('GET /api/dry-runs/8/better-ways', { found: found([way(true, 'x')]), wish: null })
    doors.answer('POST /api/dry-runs/8/better-ways/0/versions', { version: 5, run: 31 })
    await opened()
    await press('Keep as a version')
    await flushPromises()
    expect(open.get('[role=status]').text()).toContain('Kept as version 5')
    expect(open.get('[role=status] a').attributes('href')).toContain('runs=8,31')
    expect(key('Keep as a version')).toBeUndefined()
  })
})

describe('a search that is under way', () => {
  const stand = (change: Partial<SearchStand> = {}) => {
    open = mount(SearchNote, {
      props: {
        stand: {
          job: 1,
          state: 'RUNNING',
          share: 0.4,
          secondsLeft: 12.4,
          best: null,
          ahead: null,
          enough: false,
          failure: null,
          ...change,
        },
      },
    })
  }

  it('says the best so far, and can be cut short once there is one', async () => {
    stand()
    expect(key('That is enough').element.disabled).toBe(true)
    open.unmount()
    stand({
      best: { tried: 1200, changes: ['Wait 2 days'] } as SearchStand['best'],
      ahead: '1.2 points ahead',
    })
    expect(open.text()).toContain('1,200 tried')
    expect(open.text()).toContain('12 s left')
    expect(open.text()).toContain('Best so far, 1.2 points ahead: Wait 2 days.')
    await press('That is enough')
    expect(open.emitted('enough')).toHaveLength(1)
  })

  it('says that nothing is better, and that it waits for others', () => {
    stand({ best: { tried: 3, changes: [] } as unknown as SearchStand['best'] })
    expect(open.text()).toContain("Nothing is better than today's journey so far.")
    open.unmount()
    stand({ state: 'QUEUED' })
    expect(open.text()).toContain('Waits for what is computed before it.')
  })
})
