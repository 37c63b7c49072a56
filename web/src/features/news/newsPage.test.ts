import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { NewsDocument, NewsView } from '@/api/types'
import { newsletterView } from '@/features/newsletters/testNewsletter'
import { page, plugins } from '@/testing'
import NewsPage from './NewsPage.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const SELF = '/api/news/6'
const series = (change: Partial<NewsDocument> = {}): NewsDocument => ({
  letter: newsletterView({}, { name: 'News of the bees' }).newsletter,
  rhythm: { kind: 'weekly', day: 'THURSDAY', at: '09:00' },
  source: '/site/news.atom',
  ...change,
})
const view = (change: Partial<NewsView> = {}): NewsView => ({
  id: 6,
  version: 1,
  on: false,
  series: series(),
  whoSays: '',
  butNotSays: '',
  review: ['Goes every Thursday at 9.'],
  findings: [],
  people: 412,
  nextAt: null,
  skipsNext: false,
  issues: [],
  ...change,
})
const look = (change = {}) => ({
  whoSays: '',
  butNotSays: '',
  review: ['Goes every Thursday at 9.'],
  findings: [],
  people: 415,
  at: 1_800_000_000,
  fault: '',
  entries: [],
  leftOut: 0,
  says: [],
  html: '',
  ...change,
})

let open: VueWrapper
beforeEach(() => {
  doors.clear()
  sessionStorage.clear()
  doors.answer(`GET ${SELF}`, view())
  doors.answer(`POST ${SELF}/looks`, look())
  doors.answer('POST /api/people/readings', { meant: null, unclear: null, completions: [] })
  doors.answer('GET /api/live', { clock: { now: 1_800_000_000, turning: false }, journeys: [] })
  doors.answer('GET /api/account', { senders: [] })
})
afterEach(() => open.unmount())

async function opened() {
  open = mount(NewsPage, {
    props: { id: 6 },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
  await new Promise((done) => setTimeout(done, 200))
  await flushPromises()
}
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

describe('news on a rhythm', () => {
  it('keeps its time of day when it goes more or less often, and says what becomes of the 31st', async () => {
    await opened()
    await open.get('[aria-label="Time of day"]').setValue('07:30')
    await open.get('[aria-label="How often"]').setValue('monthly')
    await open.get('[aria-label="Day of the month"]').setValue(31)
    expect(open.text()).toContain('In a shorter month it goes on its last day.')
    doors.answer(`PUT ${SELF}`, view({ version: 2 }))
    await press('Save')
    const sent = doors.at(`PUT ${SELF}`)[0]!.body as { series: NewsDocument; version: number }
    expect(sent.series.rhythm).toEqual({ kind: 'monthly', day: 31, at: '07:30' })
    expect(sent.version).toBe(1)
  })

  it('says that its name is taken, at its name, and what is wrong with its rhythm, there', async () => {
    await opened()
    await open.get('#newsletter-name').setValue('Taken')
    doors.refuse(`PUT ${SELF}`, 'Three things are wrong.', {
      '/series/letter/name': 'Something else is called so.',
      '/series/rhythm/day': 'A month has at most 31 days.',
      '/series/letter/sender': 'There is no such sender.',
    })
    await press('Save')
    expect(open.get('#newsletter-name').element.parentElement!.textContent).toContain(
      'Something else is called so.',
    )
    expect(open.get('main > [role=alert]').text()).toBe('There is no such sender.')
    expect(open.text()).toContain('A month has at most 31 days.')
  })

  it('is turned on for as many as are seen now, and not for more', async () => {
    await opened()
    expect(open.text()).toContain('415 people get it, as people are now.')
    doors.answer(`PUT ${SELF}/on`, view({ on: true, version: 2 }))
    await press('Turn it on')
    expect(doors.at(`PUT ${SELF}/on`)[0]!.body).toEqual({
      version: 1,
      people: 415,
      evenSoMany: false,
    })
  })

  it('says why its source cannot be read, and shows no issue that it cannot know', async () => {
    doors.answer(`POST ${SELF}/looks`, look({ fault: 'Nothing answers there.', entries: [] }))
    await opened()
    expect(open.get('[role=alert]').text()).toBe('Nothing answers there.')
    expect(open.find('[aria-label="What is new"]').exists()).toBe(false)
  })

  it('cannot be changed while it is on, is skipped and turned off with a key', async () => {
    doors.answer(`GET ${SELF}`, view({ on: true, nextAt: 1_800_000_000 }))
    await opened()
    expect(open.find('#newsletter-name').exists()).toBe(false)
    expect(open.find('[role=status]').exists()).toBe(false)
    doors.answer(`PUT ${SELF}/skip`, view({ on: true, skipsNext: true }))
    doors.answer(`GET ${SELF}`, view({ on: true, skipsNext: true }))
    await press('Skip the next issue')
    expect(doors.at(`PUT ${SELF}/skip`)[0]!.body).toEqual({ skips: true })
    expect(open.text()).toContain('It is skipped: what is new waits for the one after it.')
    doors.answer(`DELETE ${SELF}/on`, view())
    doors.answer(`GET ${SELF}`, view())
    await press('Turn it off')
    expect(open.find('#newsletter-name').exists()).toBe(true)
  })

  it('tells what became of each issue in a word and a sentence', async () => {
    const issue = { newsletter: null, titles: [] as string[] }
    doors.answer(
      `GET ${SELF}`,
      view({
        issues: [
          { ...issue, at: 1_800_600_000, outcome: 'FAILED', says: 'Nothing answered there.' },
          {
            at: 1_800_000_000,
            outcome: 'SENT',
            says: 'To 400 people.',
            newsletter: 31,
            titles: ['A swarm', 'Wax'],
          },
        ],
      }),
    )
    await opened()
    const rows = open.get('[aria-labelledby=issues] ol').findAll(':scope > li')
    const words = rows.map((one) => one.findAll('span').map((cell) => cell.text()))
    expect(words[0]!.slice(1, 3)).toEqual(['did not go', 'Nothing answered there.'])
    expect(words[1]![1]).toBe('sent')
    expect(words[1]!.at(-1)).toBe('A swarm · Wax')
    expect(open.get('a[href="/newsletters/31"]').text()).toBe('What came of it')
  })
})
