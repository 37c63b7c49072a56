import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { WhoView } from '@/api/types'
import { page, plugins } from '@/testing'
import FindLine from './FindLine.vue'
import { json } from '@/api/testClient'

/** What the server says of a sentence; a text may be held back until it is let go. */
let answers: (text: string) => Partial<WhoView>
const asked: string[] = []
const held = new Map<string, () => void>()
const hold = new Set<string>()

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = async (request: Request) => {
    const { text } = (await request.json()) as { text: string }
    asked.push(text)
    if (hold.has(text)) await new Promise<void>((done) => held.set(text, done))
    const view = { meant: null, unclear: null, completions: [], ...answers(text) }
    return json(view)
  }
  return answeredBy(original, fetch)
})

const meant = (found: number, news: string[] = []) => ({
  meant: { sentence: { spans: [] }, condition: null, found, news },
})
const way = (text: string, from: number) => ({ text, from, what: '' })

let line: VueWrapper
beforeEach(async () => {
  asked.length = 0
  hold.clear()
  answers = () => meant(7)
  line = mount(FindLine, {
    props: { modelValue: '', everybody: 20 },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
})
afterEach(() => line.unmount())

const field = () => line.get('input').element as HTMLInputElement
const sentence = () => line.emitted<[string]>('update:modelValue')?.at(-1)?.[0]
const options = () => [...document.querySelectorAll('[role=option]')].map((one) => one.textContent)

async function type(text: string) {
  field().focus()
  await line.get('input').setValue(text)
  field().setSelectionRange(text.length, text.length)
  await line.get('input').trigger('click')
}
async function typeAndWait(text: string) {
  await type(text)
  await new Promise((done) => setTimeout(done, 150))
  await flushPromises()
}
const press = async (key: string) => {
  await line.get('input').trigger('keydown', { key })
  await flushPromises()
}

describe('the find line', () => {
  it('finds whoever is meant at once, with their share', async () => {
    await typeAndWait('bought anything')
    expect(sentence()).toBe('bought anything')
    expect(line.text()).toContain('7')
    expect(line.text()).toContain('35.0%')
  })

  it('leaves those who were found while something is not understood, and says where', async () => {
    await typeAndWait('bought anything')
    answers = () => ({
      unclear: { why: '“flub” is not understood here.', from: 16, to: 20, asks: false, offers: [] },
    })
    await typeAndWait('bought anything flub it')
    expect(sentence()).toBe('bought anything')
    expect(line.get('.decoration-wavy').text()).toBe('flub')
    expect(line.text()).toContain('“flub” is not understood here.')
    expect(line.get('input').attributes('aria-invalid')).toBe('true')
  })

  it('calls nothing wrong that only stops too early', async () => {
    answers = () => ({
      unclear: { why: 'No.', from: 0, to: 2, asks: false, offers: [] },
      completions: [way('are on list', 0)],
    })
    await typeAndWait('is on li')
    expect(line.text()).not.toContain('No.')
    expect(options()).toEqual(['are on list'])
  })

  it('takes a way to go on in place of what was begun', async () => {
    answers = (text) =>
      text === 'is on li' ? { ...meant(0), completions: [way('are on list', 0)] } : meant(3)
    await typeAndWait('is on li')
    await press('Tab')
    expect(field().value).toBe('are on list ')
    expect(asked.at(-1)).toBe('are on list ')
  })

  it('never takes a way to go on that was offered for something else', async () => {
    answers = (text) => ({
      ...meant(1),
      completions: text.startsWith('b') ? [way('bought anything', 0)] : [way('are on list', 0)],
    })
    await typeAndWait('a')
    await type('bou') // not read yet
    await press('Tab')
    await flushPromises()
    expect(field().value).toBe('bought anything ')
  })

  it('shows the newest sentence, whatever answers last', async () => {
    answers = (text) => meant(text.length)
    hold.add('slow')
    await typeAndWait('slow')
    await typeAndWait('quicker')
    expect(line.get('b').text()).toBe('7')
    held.get('slow')!()
    await flushPromises()
    expect(line.get('b').text()).toBe('7')
    expect(sentence()).toBe('quicker')
  })

  it('goes through the ways by keys, and takes one with Enter', async () => {
    answers = () => ({ ...meant(1), completions: [way('one', 0), way('two', 0)] })
    await typeAndWait('x')
    await press('ArrowDown')
    await press('ArrowDown')
    expect(line.get('input').attributes('aria-activedescendant')).toMatch(/-1$/)
    await press('Enter')
    expect(field().value).toBe('two ')
    await press('Escape')
    expect(options()).toEqual([])
  })

  it('says that nobody has to do with a name yet', async () => {
    answers = () => meant(0, ['list “Nowhere”'])
    await typeAndWait('are on list Nowhere')
    expect(line.text()).toContain('Nobody has to do with the list “Nowhere” yet.')
  })
})
