import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { ClockView } from '@/api/types'
import { page, plugins } from '@/testing'
import ClockBar from './ClockBar.vue'
import PersonJourneys from './PersonJourneys.vue'
import StepPeopleList from './StepPeopleList.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const NOW = 1_800_000_000
const journey = (id: number, name: string, since: number | null = NOW) => ({ id, name, since })

let open: VueWrapper
beforeEach(() => {
  doors.clear()
  doors.answer('GET /api/live', {
    clock: { now: NOW, turning: null },
    journeys: [journey(4, 'First frames'), journey(5, 'Members'), journey(6, 'Closed', null)],
  })
})
afterEach(() => open.unmount())
const global = () => ({ plugins: [...plugins()] as never[] })
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

describe('who stands at a step', () => {
  const HERE = '/api/live/journeys/4/people'
  const person = (id: number, who: string) => ({ person: id, who, since: NOW, until: null })
  beforeEach(async () => {
    doors.answer('GET /api/live/journeys/4/steps/s2', {
      total: 30,
      people: [person(1, 'Ida'), person(2, 'Tom')],
    })
    open = mount(StepPeopleList, {
      props: { journey: 4, step: 's2', name: 'Wait 2 days' },
      attachTo: page(),
      global: global(),
    })
    await flushPromises()
  })

  it('is sent on once from where they were seen, however often the key is pressed', async () => {
    doors.answer(`POST ${HERE}/1/forward`, {})
    const on = () => open.get<HTMLButtonElement>('[aria-label="Send Ida on"]')
    const go = doors.hold()
    await on().trigger('click')
    expect(on().element.disabled).toBe(true)
    await on().trigger('click')
    go()
    await flushPromises()
    expect(doors.at(`POST ${HERE}/1/forward`).map((one) => one.body)).toEqual([{ from: 's2' }])
  })

  it('says that they have gone on meanwhile, and looks again', async () => {
    doors.refuse(`POST ${HERE}/1/forward`, 'They have gone on meanwhile.')
    const before = doors.at('GET /api/live/journeys/4/steps/s2').length
    await open.get('[aria-label="Send Ida on"]').trigger('click')
    await flushPromises()
    expect(open.text()).toContain('They have gone on meanwhile.')
    expect(doors.at('GET /api/live/journeys/4/steps/s2').length).toBe(before + 1)
  })

  it('is moved only into another journey that is open', async () => {
    doors.answer(`POST ${HERE}/2/move`, {})
    const into = open.get<HTMLSelectElement>('[aria-label="Move Tom into another journey"]')
    expect(into.findAll('option').map((one) => one.text())).toEqual(['move into…', 'Members'])
    await into.setValue('5')
    await flushPromises()
    expect(doors.at(`POST ${HERE}/2/move`)[0]!.body).toEqual({ into: 5 })
    expect(into.element.value).toBe('')
  })

  it('says that more stand there than are shown', () => {
    expect(open.get('h3').text()).toBe('Wait 2 days: 30 people')
    expect(open.text()).toContain('The 2 who have stood there longest.')
  })
})

describe('where somebody stands', () => {
  beforeEach(async () => {
    doors.answer('GET /api/live/people/1', {
      stands: [
        {
          journey: 4,
          name: 'First frames',
          step: 's2',
          why: 'Wait 2 days',
          enteredAt: NOW,
          since: NOW,
          until: null,
          earlierPlan: true,
        },
      ],
      happened: [],
    })
    open = mount(PersonJourneys, { props: { person: 1 }, attachTo: page(), global: global() })
    await flushPromises()
  })

  it('leads to the step, and says that it is on the plan that they began', () => {
    expect(open.get('a').attributes('href')).toBe('/journeys/4?step=s2')
    expect(open.text()).toContain('on the plan that they began')
  })

  it('stays outside with the reason, and the journey stays chosen for another try', async () => {
    doors.refuse('POST /api/live/journeys/5/people', 'They may not be mailed: unsubscribed.')
    await open.get('select').setValue('5')
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(open.text()).toContain('They may not be mailed: unsubscribed.')
    expect(key('Put in').element.disabled).toBe(false)
    doors.answer('POST /api/live/journeys/5/people', {})
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(key('Put in').element.disabled).toBe(true)
    expect(open.text()).not.toContain('They may not be mailed')
  })
})

describe('the clock', () => {
  const clock = (change: Partial<ClockView> = {}): ClockView =>
    ({
      now: NOW,
      turnedOn: 0,
      next: null,
      turning: null,
      last: null,
      failure: null,
      ...change,
    }) as ClockView
  const bar = (change: Partial<ClockView> = {}, fixed = false) => {
    open = mount(ClockBar, {
      props: { clock: clock(change), fixed },
      attachTo: page(),
      global: global(),
    })
  }

  it('is turned on once by what was pressed', async () => {
    bar()
    doors.answer('POST /api/live/clock', {})
    const go = doors.hold()
    await key('1 day').trigger('click')
    expect(key('1 week').element.disabled).toBe(true)
    await key('1 day').trigger('click')
    go()
    await flushPromises()
    expect(doors.at('POST /api/live/clock').map((one) => one.body)).toEqual([
      { seconds: 86_400, to: null, toNext: null },
    ])
  })

  it('cannot be turned where mail leaves this machine, and says so', () => {
    bar({}, true)
    expect(open.text()).toContain('It cannot be turned, since mail leaves this machine.')
    expect(open.findAll('button')).toEqual([])
  })

  it('goes nowhere where nothing is due', () => {
    bar()
    expect(key('nothing is due').element.disabled).toBe(true)
  })

  it('says how far it has come, and can be stopped there', async () => {
    bar({ now: NOW + 50, turning: { from: NOW, to: NOW + 200, turns: 1200, messages: 30 } })
    expect(open.get('[role=progressbar]').attributes('aria-valuenow')).toBe('25')
    expect(open.text()).toContain('1,200 turns, 30 messages')
    doors.answer('DELETE /api/live/clock', undefined)
    await press('Stop here')
    expect(doors.at('DELETE /api/live/clock')).toHaveLength(1)
  })

  it('tells why it could not be turned rather than why it stopped before', async () => {
    bar({ failure: 'The mail server went away.' })
    expect(open.text()).toContain('The mail server went away.')
    doors.refuse('POST /api/live/clock', 'At most a year at a time.')
    await press('1 hour')
    expect(open.text()).toContain('At most a year at a time.')
    expect(open.text()).not.toContain('The mail server went away.')
  })
})
