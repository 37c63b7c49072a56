import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import { page, plugins } from '@/testing'
import HealthView from './HealthView.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const rate = (count: number, share: number, low: number, high: number) => ({
  count,
  share,
  low,
  high,
})
const silent: Record<string, number[]> = { '90': [3, 5, 8], '30': [3, 4, 5, 6, 8], '14': [] }

let open: VueWrapper
beforeEach(async () => {
  doors.clear()
  doors.answer('GET /api/health', ({ query }: { query: { days: string } }) => ({
    says: ['Complaints are below one in a thousand.'],
    weeks: [
      { monday: '2027-02-22', sent: 0, bounced: null, complained: null, unsubscribed: null },
      {
        monday: '2027-03-01',
        sent: 1200,
        bounced: rate(12, 0.01, 0.0057, 0.0174),
        complained: rate(0, 0, 0, 0.0032),
        unsubscribed: rate(6, 0.005, 0.0023, 0.0109),
      },
    ],
    silent: {
      days: Number(query.days),
      people: silent[query.days],
      says: [`${silent[query.days]!.length} people have opened nothing.`],
      groups: [],
    },
  }))
  open = mount(HealthView, {
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
})
afterEach(() => open.unmount())

const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}
describe('the health of mail', () => {
  it('is told week by week, the newest first, with bands, and “none yet” where nothing went', () => {
    const rows = open.get('[aria-label="Week by week"] tbody').findAll('tr')
    const cells = rows.map((row) => row.findAll('td').map((one) => one.text()))
    expect(cells[0]![0]).toBe('1 Mar')
    expect(cells[0]![1]).toBe('1,200')
    expect(cells[0]![2]).toMatch(/1.0% \(12\)\s*0.6% to 1.7%/)
    expect(cells[0]![3]).toMatch(/0.0% \(0\)\s*0.0% to 0.3%/)
    expect(cells[1]!.slice(1)).toEqual(['–', 'none yet', 'none yet', 'none yet'])
  })

  it('offers nothing to do with nobody', async () => {
    await press('14 days')
    expect(open.text()).toContain('0 people have opened nothing.')
    expect(open.text()).not.toContain('Stop mailing')
    expect(open.text()).not.toContain('Plan to win them back')
  })
})

describe('who opens nothing', () => {
  it('is mailed no more only when that is said twice, and exactly those who are shown', async () => {
    doors.answer('POST /api/people-acts', { id: 1, state: 'DONE' })
    await press('Stop mailing all 3')
    expect(doors.at('POST /api/people-acts')).toEqual([])
    await press('Not yet')
    await press('Stop mailing all 3')
    await press('Stop it')
    expect(doors.at('POST /api/people-acts').map((one) => one.body)).toEqual([
      {
        people: { find: '', search: '', chosen: [3, 5, 8] },
        change: 'STOP_MAILING',
        name: null,
        value: null,
      },
    ])
    expect(open.get('[role=status]').text()).toContain('They are mailed no more')
  })

  it('is left alone while others are asked for, and the question is asked anew about those', async () => {
    await press('Stop mailing all 3')
    const go = doors.hold()
    await press('30 days')
    expect(open.text()).toContain('3 people have opened nothing.')
    expect(key('Tag all 3 “quiet”').element.disabled).toBe(true)
    expect(key('Stop mailing all 3').element.disabled).toBe(true)
    expect(key('Stop it')).toBeUndefined()
    go()
    await flushPromises()
    expect(key('Stop mailing all 5').element.disabled).toBe(false)
    expect(doors.at('POST /api/people-acts')).toEqual([])
  })

  it('says why nothing was done', async () => {
    doors.refuse('POST /api/people-acts', 'Something else is being done to many just now.')
    await press('Tag all 3 “quiet”')
    expect(open.get('[role=alert]').text()).toBe('Something else is being done to many just now.')
    expect(open.find('[role=status]').exists()).toBe(false)
  })

  it('is won back by a journey from the starter', async () => {
    doors.answer('POST /api/starters/re-engagement/journeys', { id: 31 })
    await press('Plan to win them back')
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/journeys/31')
  })
})
