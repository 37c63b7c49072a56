import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { RuleView } from '@/api/types'
import { page, plugins } from '@/testing'
import RulesView from './RulesView.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const rule = (change: Partial<RuleView> = {}): RuleView => ({
  id: 2,
  version: 1,
  name: 'Buyers',
  on: false,
  sentence: 'When someone buys anything, tag buyer',
  typed: 'when someone buys anything, tag buyer',
  acted: 0,
  lastAt: null,
  ...change,
})

let kept: RuleView[]
let open: VueWrapper
beforeEach(() => {
  doors.clear()
  kept = [rule()]
  doors.answer('GET /api/rules', () => kept)
  doors.answer('POST /api/rules/readings', ({ body }: { body: { text: string } }) => ({
    meant: body.text.endsWith('tag buyer')
      ? { name: 'Buyers', sentence: body.text, news: [] }
      : null,
    unclear: null,
    completions: [],
  }))
  doors.answer('POST /api/rules/lately', { sentence: 'It would have acted 12 times.' })
})
afterEach(() => open.unmount())

async function opened() {
  open = mount(RulesView, { attachTo: page(), global: { plugins: [...plugins()] as never[] } })
  await flushPromises()
}
async function settled() {
  await new Promise((done) => setTimeout(done, 180))
  await flushPromises()
}
const key = (words: string, at = 0) =>
  open.findAll('button').filter((one) => one.text() === words)[at]!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

describe('a new rule', () => {
  it('can be kept only once it is understood, and says what it would have done', async () => {
    await opened()
    expect(key('Keep it and turn it on').element.disabled).toBe(true)
    await open.get('form input').setValue('when someone buys anything, tag buyer')
    await settled()
    expect(open.text()).toContain('It would have acted 12 times.')
    expect(key('Keep it, off').element.disabled).toBe(false)
    await open.get('form input').setValue('when someone buys anything, tag')
    await settled()
    expect(key('Keep it, off').element.disabled).toBe(true)
    expect(open.text()).not.toContain('It would have acted')
  })

  it('is kept though it could not be turned on, and that is said', async () => {
    await opened()
    await open.get('form input').setValue('when someone buys anything, tag buyer')
    await settled()
    doors.answer('POST /api/rules', () => {
      kept = [...kept, rule({ id: 5, name: 'More buyers' })]
      return kept[1]
    })
    doors.refuse('PUT /api/rules/5/on', 'It would tag again whoever it has tagged.')
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(open.get('form [role=alert]').text()).toBe('It would tag again whoever it has tagged.')
    expect(open.findAll('li').map((one) => one.attributes('aria-label'))).toEqual([
      'Buyers',
      'More buyers',
    ])
    expect(open.get<HTMLInputElement>('form input').element.value).toBe('')
  })

  it('stays as it was typed where it is refused', async () => {
    await opened()
    await open.get('form input').setValue('when someone buys anything, tag buyer')
    await settled()
    doors.refuse('POST /api/rules', 'There is such a rule already.', {
      '/text': 'There is such a rule already.',
    })
    await press('Keep it, off')
    expect(open.get('form [role=alert]').text()).toBe('There is such a rule already.')
    expect(open.get<HTMLInputElement>('form input').element.value).toContain('tag buyer')
    expect(doors.asked.filter((one) => one.door.endsWith('/on'))).toEqual([])
  })
})

describe('a rule that stands', () => {
  it('says how often it acted, and is turned on by its switch', async () => {
    kept = [rule({ acted: 1, lastAt: 1_800_000_000 }), rule({ id: 3, name: 'Two', acted: 2000 })]
    await opened()
    expect(open.findAll('li')[0]!.text()).toContain('Acted 1 time, last')
    expect(open.findAll('li')[1]!.text()).toContain('Has not acted yet')
    expect(open.text()).toContain('0 of 2 on')
    doors.answer('PUT /api/rules/2/on', () => {
      kept = [{ ...kept[0]!, on: true }, kept[1]!]
      return kept[0]
    })
    await open.get('[aria-label="“Buyers” acts"]').trigger('click')
    await flushPromises()
    expect(open.text()).toContain('1 of 2 on')
  })

  it('is changed over the version that was looked at, not one that came meanwhile', async () => {
    await opened()
    await press('Change')
    await settled()
    kept = [rule({ version: 4, name: 'Theirs' })]
    doors.tooLate('PUT /api/rules/2', 'Somebody else has changed this rule.', kept[0])
    await open.get('#rule-name-2').setValue('Mine')
    await open.get('li form').trigger('submit')
    await flushPromises()
    expect(open.get('li > [role=alert]').text()).toContain('Save again to put yours in its place')
    expect(open.get<HTMLInputElement>('#rule-name-2').element.value).toBe('Mine')
    doors.answer('PUT /api/rules/2', rule({ version: 5, name: 'Mine' }))
    await open.get('li form').trigger('submit')
    await flushPromises()
    const versions = doors.at('PUT /api/rules/2').map((one) => (one.body as RuleView).version)
    expect(versions).toEqual([1, 4])
    expect(open.find('li form').exists()).toBe(false)
  })

  it('says at its name that another is called so', async () => {
    await opened()
    await press('Change')
    await settled()
    doors.refuse('PUT /api/rules/2', 'No.', { '/name': 'Another rule is called so.' })
    await open.get('li form').trigger('submit')
    await flushPromises()
    expect(open.get('#rule-name-2-note').text()).toBe('Another rule is called so.')
    await press('Leave as it was')
    expect(open.find('li form').exists()).toBe(false)
  })
})
