import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { json } from '@/api/testClient'
import { page, plugins } from '@/testing'
import PeopleView from './PeopleView.vue'

/** A server that does not understand, or has trouble of its own. */
let answer: () => Response
const asked: { find: string; search: string; order: string; after: number | null }[] = []

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    if (request.url.endsWith('/api/people/pages')) {
      asked.push((await request.json()) as (typeof asked)[number])
      return answer()
    }
    return json({
      meant: null,
      unclear: { why: 'What are they?', from: 0, to: 4 },
      completions: [],
    })
  })
})

const refused = (status: number, place: string, sentence: string) =>
  json(
    {
      status,
      code: 'invalid',
      detail: sentence,
      problems: place ? [{ code: 'x', place, sentence }] : [],
    },
    status,
  )

let view: VueWrapper
async function show() {
  const given = plugins()
  await given[1].push({ path: '/', query: { find: 'are what' } })
  view = mount(PeopleView, {
    attachTo: page(),
    global: {
      plugins: [...given] as never[],
      stubs: {
        FindLine: true,
        PeopleTable: true,
        ManyBar: true,
        DoneLately: true,
        RouterLink: true,
      },
    },
  })
  await flushPromises()
}
beforeEach(() => (asked.length = 0))
afterEach(() => view.unmount())

describe('people', () => {
  it('leaves it to the find line to say what is wrong with the sentence', async () => {
    answer = () => refused(422, '/find', 'What are they?')
    await show()
    expect(asked[0]).toMatchObject({ find: 'are what', search: '', order: 'NAME', after: null })
    expect(view.text()).not.toContain('That did not work')
  })

  it('says whatever else is in the way', async () => {
    answer = () => refused(507, '', 'The disk is full.')
    await show()
    expect(view.text()).toContain('The disk is full.')
  })

  it('says so when nobody is there, and what to do about it', async () => {
    answer = () => json({ total: 0, everybody: 0, mailable: 0, items: [], next: null })
    await show()
    expect(view.text()).toContain('Nobody is here yet.')
  })

  it('says so when nobody is like that', async () => {
    answer = () => json({ total: 0, everybody: 12, mailable: 3, items: [], next: null })
    await show()
    expect(view.text()).toContain('12 · 3 may be mailed')
    expect(view.text()).toContain('Nobody is like that.')
  })
})
