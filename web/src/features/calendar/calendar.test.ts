import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { CalendarLane, CalendarSums, CalendarView as View, NewsletterLine } from '@/api/types'
import { page, plugins } from '@/testing'
import CalendarGrid from './CalendarGrid.vue'
import CalendarView from './CalendarView.vue'
import { daysFrom, emailsIn, plusDays, sayEmails } from './days'
import DraftForm from './DraftForm.vue'
import NewsletterList from './NewsletterList.vue'
import RulesTried from './RulesTried.vue'
import TooMuchPanel from './TooMuchPanel.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const DAYS = 7
const sums = (at: number, mean: number, gone = 0): CalendarSums => {
  const of = (value: number) => Array.from({ length: DAYS }, (_, n) => (n === at ? value : 0))
  return { mean: of(mean), low: of(mean * 0.9), high: of(mean * 1.1), gone: of(gone) }
}
const lane = (change: Partial<CalendarLane> = {}): CalendarLane => ({
  id: 3,
  kind: 'NEWSLETTER',
  name: 'Spring at the hives',
  note: '',
  sure: true,
  goesOn: '2027-03-03',
  emails: sums(2, 400),
  ...change,
})
const view = (change: Partial<View> = {}): View => ({
  from: '2027-03-01',
  today: '2027-03-01',
  days: DAYS,
  zone: 'Europe/Berlin',
  lanes: [lane(), lane({ id: 8, kind: 'JOURNEY', name: 'First frames', goesOn: null })],
  all: sums(2, 800),
  crowded: [],
  weeks: [],
  quota: [],
  says: [],
  ...change,
})
const asked = { from: '2027-03-01', days: DAYS, who: '', draft: [] }

let open: VueWrapper
afterEach(() => open.unmount())
beforeEach(() => doors.clear())
const global = () => ({ plugins: [...plugins()] as never[] })
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

describe('the calendar', () => {
  /** A server that keeps the day on which the newsletter goes. */
  let goes: string
  async function opened() {
    goes = '2027-03-03'
    const letter = () => ({ version: 4, newsletter: { name: 'Spring', going: { date: goes } } })
    doors.answer('GET /api/calendar', () => view({ lanes: [lane({ goesOn: goes })] }))
    doors.answer('GET /api/newsletters/3', letter)
    doors.answer('PUT /api/newsletters/3/moment', ({ body }: { body: { date: string } }) => {
      goes = body.date
      return letter()
    })
    doors.answer('GET /api/calendar/feed', { on: false })
    open = mount(CalendarView, {
      attachTo: page(),
      global: { ...global(), stubs: { DayPanel: true } },
    })
    await flushPromises()
    await flushPromises()
  }
  const cell = (day: string) =>
    open
      .findAll('[aria-label="Spring at the hives"] [aria-label]')
      .find((one) => one.attributes('aria-label')!.includes(day))!

  it('moves a newsletter with a key, says so, and takes it back at a word', async () => {
    await opened()
    await cell('Wed 3').trigger('keydown', { key: 'ArrowRight' })
    await flushPromises()
    expect(doors.at('PUT /api/newsletters/3/moment').at(-1)!.body).toEqual({
      version: 4,
      date: '2027-03-04',
      at: null,
    })
    expect(open.get('[role=status]').text()).toContain('goes out on Thu 4 March now')
    await press('Back to Wed 3 March')
    expect(goes).toBe('2027-03-03')
    expect(open.text()).not.toContain('goes out on')
  })

  it('keeps the way back when going back fails, and says why', async () => {
    await opened()
    await cell('Wed 3').trigger('keydown', { key: 'ArrowRight' })
    await flushPromises()
    doors.refuse('PUT /api/newsletters/3/moment', 'It has begun to go out.')
    await press('Back to Wed 3 March')
    expect(open.get('[role=alert]').text()).toBe('It has begun to go out.')
    expect(goes).toBe('2027-03-04')
    expect(key('Back to Wed 3 March').element.disabled).toBe(false)
  })

  it('leads to what is begun there', async () => {
    await opened()
    doors.answer('POST /api/newsletters', { id: 12 })
    await press('New newsletter')
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/newsletters/12')
  })

  it('asks for other days and other people, and says which in its address', async () => {
    await opened()
    await press('Later')
    const query = () => open.vm.$router.currentRoute.value.query
    expect(query().from).toBe('2027-03-22')
    expect(doors.at('GET /api/calendar').at(-1)!.query).toMatchObject({ from: '2027-03-22' })
    await press('Today')
    expect(query().from).toBeUndefined()
    await press('quarter')
    expect(doors.at('GET /api/calendar').at(-1)!.query.days).toBe('91')
  })
})

describe('a newsletter on the calendar', () => {
  function grid(change = {}) {
    open = mount(CalendarGrid, {
      props: {
        view: view(),
        days: daysFrom('2027-03-01', DAYS),
        chosen: '2027-03-01',
        busy: false,
        ...change,
      },
      global: global(),
    })
    return (lane: string, day: string) =>
      open
        .get(`[aria-label="${lane}"]`)
        .findAll('[aria-label]')
        .find((one) => one.attributes('aria-label')!.includes(day))!
  }

  it('never goes to a day that is over, and nothing moves that is no newsletter', async () => {
    const early = lane({ goesOn: '2027-03-02', emails: sums(1, 400) })
    const at = grid({ view: view({ lanes: [early, view().lanes[1]!] }) })
    await at('Spring at the hives', 'Tue 2').trigger('keydown', { key: 'ArrowLeft' })
    expect(open.emitted('move')).toBeUndefined()
    await at('First frames', 'Wed 3').trigger('keydown', { key: 'ArrowRight' })
    expect(open.emitted('move')).toBeUndefined()
    await at('Spring at the hives', 'Tue 2').trigger('keydown', { key: 'ArrowRight' })
    expect(open.emitted('move')).toEqual([[early, '2027-03-03']])
  })

  it('waits while it is being moved', async () => {
    const at = grid({ busy: true })
    await at('Spring at the hives', 'Wed 3').trigger('keydown', { key: 'ArrowRight' })
    expect(open.emitted('move')).toBeUndefined()
  })
})

describe('emails in words', () => {
  it('tell what has gone from what is expected, with its band, and less than one is not nothing', () => {
    expect(sayEmails(sums(0, 0), 0)).toBe('nothing')
    expect(sayEmails(sums(0, 0, 1200), 0)).toBe('1,200 gone')
    expect(sayEmails(sums(0, 100), 0)).toBe('about 100 (90 to 111)')
    expect(sayEmails(sums(0, 100, 20), 0)).toBe('20 gone, about 100 (90 to 111) more')
    expect([emailsIn(0), emailsIn(0.2), emailsIn(0.96), emailsIn(1500)]).toEqual([
      '',
      '<1',
      '1',
      '1,500',
    ])
  })

  it('keep days where clocks are changed, and at the end of years', () => {
    expect(plusDays('2027-03-27', 2)).toBe('2027-03-29')
    expect(plusDays('2027-12-31', 1)).toBe('2028-01-01')
    expect(plusDays('2028-02-28', 1)).toBe('2028-02-29')
    expect(plusDays('2027-03-01', -1)).toBe('2027-02-28')
  })
})

describe('a journey as if it were open', () => {
  async function form(drafts: string[] = []) {
    doors.answer('GET /api/journeys/names', [
      { id: 1, name: 'First frames' },
      { id: 2, name: 'Left on the bench' },
    ])
    open = mount(DraftForm, {
      props: { today: '2027-03-01', running: [1], drafts },
      global: global(),
    })
    await flushPromises()
  }

  it('is one that is not open, from tomorrow on, and is shown once', async () => {
    await form(['2~2027-03-05~10', '7~2027-03-09~5'])
    expect(open.findAll('option').map((one) => one.text())).toEqual([
      'which journey',
      'Left on the bench',
    ])
    expect(open.text()).toContain('Left on the bench, from 5 Mar, 10 a day')
    expect(open.text()).toContain('journey 7, from 9 Mar, 5 a day')
    expect(key('Show it').element.disabled).toBe(true)
    await open.get('select').setValue('2')
    await open.get('form').trigger('submit')
    expect(open.emitted('show')!.at(-1)).toEqual([['7~2027-03-09~5', '2~2027-03-02~20']])
    await open.get('[aria-label="Without journey 7, from 9 Mar, 5 a day"]').trigger('click')
    expect(open.emitted('show')!.at(-1)).toEqual([['2~2027-03-05~10']])
    await press('Without drafts')
    expect(open.emitted('show')!.at(-1)).toEqual([[]])
    expect(open.emitted('close')).toHaveLength(1)
  })

  it('is not shown with nobody coming, or more than the machine takes', async () => {
    await form()
    await open.get('select').setValue('2')
    for (const [people, disabled] of [
      [0, true],
      [1, false],
      [100_001, true],
    ] as const) {
      await open.get('[type=number]').setValue(people)
      expect(key('Show it').element.disabled).toBe(disabled)
    }
  })
})

describe('too much for somebody', () => {
  const crowded = (day: string, mean: number, mend = false): View['crowded'][number] => ({
    day,
    people: { mean, low: mean * 0.9, high: mean * 1.1 },
    meetings: [{ one: 'Spring', other: 'Spring', people: mean }],
    mend: mend
      ? {
          newsletter: 3,
          name: 'Spring',
          then: 2,
          to: '2027-03-04',
          sentence: 'Move “Spring” to Thursday.',
        }
      : null,
  })
  const panel = (change: Partial<View>) => {
    open = mount(TooMuchPanel, {
      props: { view: view(change), asked, busy: false },
      global: { ...global(), stubs: { RulesTried: true } },
    })
  }

  it('is told the worst first, with its band, who meets whom, and what would mend it', async () => {
    panel({
      crowded: [
        crowded('2027-03-02', 12),
        crowded('2027-03-03', 1, true),
        crowded('2027-03-04', 90),
      ],
    })
    const rows = open.findAll('li').map((one) => one.text())
    expect(rows[0]).toContain('90 people get')
    expect(rows[0]).toContain('Thu 4 March')
    expect(rows[0]).toMatch(/\(8[01] to (99|100)\)/)
    expect(rows[0]).toContain('Spring twice: 90')
    expect(rows[2]).toContain('1 person gets')
    await press('Move “Spring” to Thursday.')
    expect(open.emitted('move')).toEqual([[3, '2027-03-04']])
  })

  it('is nobody, in words, where it is nobody', () => {
    panel({})
    expect(open.text()).toContain('Nobody gets more than one email on a day.')
  })

  it('tries rules on them, says where none helps, and changes a journey only at a word', async () => {
    const tried = (helps: boolean) => ({
      journey: 8,
      rule: 'GUARD',
      helps,
      now: 90,
      then: helps ? 20 : 88,
      nowInAll: 90,
      thenInAll: 20,
      sentence: 'With one email a day in First frames, 20 instead of 90.',
    })
    const door = 'GET /api/calendar/days/2027-03-04/rules'
    doors.answer(door, [tried(false)])
    const props = { asked, day: '2027-03-04' }
    open = mount(RulesTried, { props, global: global() })
    await flushPromises()
    expect(open.text()).toContain('Rules of journeys hardly change it: 88 people')
    open.unmount()
    doors.answer(door, [tried(true)])
    open = mount(RulesTried, { props, global: global() })
    await flushPromises()
    expect(doors.asked.some((one) => one.door.startsWith('PUT'))).toBe(false)
    doors.refuse('PUT /api/calendar/journeys/8/rule', 'It is being changed by somebody.')
    await press('Change the journey so')
    expect(open.get('[role=alert]').text()).toBe('It is being changed by somebody.')
    doors.answer('PUT /api/calendar/journeys/8/rule', undefined)
    await press('Change the journey so')
    expect(doors.at('PUT /api/calendar/journeys/8/rule').at(-1)!.body).toEqual({
      rule: 'GUARD',
      day: '2027-03-04',
    })
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/journeys/8?step=journey')
  })
})

describe('newsletters in a list', () => {
  it('say how far they are, and to how many they went or will go', () => {
    const letter = (change: Partial<NewsletterLine>): NewsletterLine => ({
      id: 1,
      name: 'Spring',
      message: null,
      phase: 'DRAFT',
      firstAt: null,
      people: 412,
      sent: 0,
      theirTime: false,
      ...change,
    })
    open = mount(NewsletterList, {
      props: {
        newsletters: [letter({}), letter({ id: 2, phase: 'GONE', people: 500, sent: 398 })],
        news: [
          { id: 4, name: 'Bees', rhythm: 'every week', nextAt: null, skipsNext: false, last: '' },
        ],
        busy: false,
      },
      global: global(),
    })
    expect(open.findAll('li').map((one) => one.text().replace(/\s+/g, ' '))).toEqual([
      'Beesevery week · off',
      'Springdraft · 412 people',
      'Springgone · 398 people',
    ])
  })
})
