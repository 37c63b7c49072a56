import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { ActView, PersonView } from '@/api/types'
import { page, plugins } from '@/testing'
import ActLine from './ActLine.vue'
import DoneLately from './DoneLately.vue'
import PersonPanel from './PersonPanel.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const SINCE = 1_800_000_000
const mira = (change: Partial<PersonView> = {}) =>
  ({
    id: 7,
    version: 3,
    address: 'mira.t@example.com',
    firstName: 'Mira',
    lastName: null,
    phone: null,
    zone: 'Europe/Oslo',
    mailing: 'MAY_BE_MAILED',
    mailingSince: SINCE,
    mailingHow: 'signed up.',
    mailingWords: 'I want letters about bees.',
    howOften: 'AS_IT_COMES',
    texts: false,
    textsSince: null,
    textsHow: null,
    labels: [{ kind: 'TAG', name: 'market', since: SINCE, how: 'by hand' }],
    fields: [{ field: 'hives', value: '2' }],
    story: [{ at: SINCE, sentence: 'Came in.' }],
    lastEdit: 12,
    ...change,
  }) as unknown as PersonView

let open: VueWrapper
beforeEach(() => doors.clear())
afterEach(() => open.unmount())
const global = (stubs = {}) => ({ plugins: [...plugins()] as never[], stubs })
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

describe('a person', () => {
  async function opened(change: Partial<PersonView> = {}) {
    doors.answer('GET /api/people/7', mira(change))
    open = mount(PersonPanel, {
      props: { id: 7 },
      attachTo: page(),
      global: global({ PersonJourneys: true }),
    })
    await flushPromises()
  }

  it('is told in words: since when they may be mailed, by what words, what they carry', async () => {
    await opened()
    expect(open.text()).toContain('mira.t@example.com · Europe/Oslo')
    expect(open.text()).toContain('signed up.')
    expect(open.text()).toContain('They agreed: “I want letters about bees.”')
    expect(open.text()).toContain('hives: 2')
    expect(open.get('.chip[title^="by hand"]').text()).toBe('market')
  })

  it('is not said to agree once they may not be mailed, and has no name where none is known', async () => {
    await opened({ mailing: 'UNSUBSCRIBED', firstName: null })
    expect(open.text()).not.toContain('They agreed')
    expect(open.get('h2').text()).toBe('No name')
  })

  it('has the last change taken back once, and says why it cannot be', async () => {
    await opened()
    doors.refuse('POST /api/people-acts/12/back', 'They have been changed since.')
    const go = doors.hold()
    await key('Take the last change back').trigger('click')
    await key('Take the last change back').trigger('click')
    go()
    await flushPromises()
    expect(doors.at('POST /api/people-acts/12/back')).toHaveLength(1)
    expect(open.text()).toContain('They have been changed since.')
  })

  it('is forgotten for good only at the second word, after what that means', async () => {
    await opened()
    expect(open.get('a[download]').attributes('href')).toBe('/api/people/7/file')
    await press('Forget them for good…')
    expect(open.text()).toContain('a fingerprint keeps tables from bringing them back unasked')
    doors.refuse('DELETE /api/people/7', 'They are inside a journey that is being changed.')
    await press('Forget for good')
    expect(open.emitted('forgotten')).toBeUndefined()
    expect(open.text()).toContain('They are inside a journey that is being changed.')
    doors.answer('DELETE /api/people/7', undefined)
    await press('Forget for good')
    expect(open.emitted('forgotten')).toHaveLength(1)
  })

  it('that is not there says so', async () => {
    doors.refuse('GET /api/people/7', 'There is nobody of number 7.')
    open = mount(PersonPanel, { props: { id: 7 }, attachTo: page(), global: global() })
    await flushPromises()
    expect(open.text()).toContain('There is nobody of number 7.')
  })
})

describe('what was done to many', () => {
  const act = (id: number, change: Partial<ActView> = {}) =>
    ({
      id,
      says: 'Tag “market”',
      sentence: '40 people were tagged.',
      state: 'DONE',
      at: SINCE,
      size: 40,
      done: 40,
      refused: 0,
      failure: null,
      ...change,
    }) as ActView
  const line = (change: Partial<ActView> = {}) => {
    open = mount(ActLine, { props: { act: act(5, change) }, global: global() })
  }

  it('is taken back once by its key, also while it is under way', async () => {
    line({ state: 'UNDER_WAY', done: 10 })
    expect(open.get('progress').attributes('value')).toBe('0.25')
    doors.answer('POST /api/people-acts/5/back', {})
    const go = doors.hold()
    await key('Stop and take back').trigger('click')
    await key('Stop and take back').trigger('click')
    go()
    await flushPromises()
    expect(doors.at('POST /api/people-acts/5/back')).toHaveLength(1)
  })

  it('that stopped says why, and goes on at a word', async () => {
    line({ state: 'UNDER_WAY', failure: 'The disk was full.' })
    expect(open.text()).toContain('The disk was full.')
    doors.refuse('POST /api/people-acts/5/on', 'It still is.')
    await press('Go on')
    expect(open.get('[role=alert]').text()).toBe('It still is.')
  })

  it('offers its refused rows only once it is through, and nothing once it is taken back', () => {
    line({ refused: 3 })
    expect(open.get('a').attributes('href')).toBe('/api/people-tables/of-act/5/refused.csv')
    open.unmount()
    line({ refused: 3, state: 'UNDER_WAY' })
    expect(open.find('a').exists()).toBe(false)
    open.unmount()
    line({ state: 'TAKEN_BACK' })
    expect(open.find('button').exists()).toBe(false)
  })

  it('is the last thing at first, and all of it when that is asked for', async () => {
    doors.answer('GET /api/people-acts', [act(5), act(4, { says: 'Tag “fair”' })])
    open = mount(DoneLately, { global: global() })
    await flushPromises()
    expect(open.findAll('li')).toHaveLength(1)
    await press('What was done before: 1')
    expect(open.findAll('li').map((one) => one.get('b').text())).toEqual([
      'Tag “market”',
      'Tag “fair”',
    ])
  })
})
