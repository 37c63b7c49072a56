import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { page, plugins } from '@/testing'
import TypedPart from './TypedPart.vue'
import { json } from '@/api/testClient'

let answer: (text: string) => Response
const asked: string[] = []

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = async (request: Request) => {
    const { text } = (await request.json()) as { text: string }
    asked.push(text)
    return answer(text)
  }
  return answeredBy(original, fetch)
})

const RULE = { kind: 'rule', id: 'p7' }
const made = (completions: unknown[] = []) =>
  json({ made: { part: RULE, says: 'rule' }, unclear: null, completions })
const unclear = (offers: unknown[] = []) =>
  json({
    made: null,
    unclear: { why: 'No file is called so.', from: 7, to: 11, asks: null, offers },
    completions: [],
  })

let line: VueWrapper
function show(begun?: string) {
  line = mount(TypedPart, {
    attachTo: page(),
    props: { label: 'Next part', id: 'p7', begun },
    global: { plugins: [...plugins()] as never[] },
  })
}
const field = () => line.get<HTMLTextAreaElement>('textarea')
async function type(text: string) {
  field().element.focus()
  await field().setValue(text)
  await new Promise((done) => setTimeout(done, 120))
  await flushPromises()
}
async function press(key: string) {
  await field().trigger('keydown', { key })
  await flushPromises()
}
const offered = () =>
  [...document.querySelectorAll('[role=option]')].map((one) => one.textContent?.trim())

beforeEach(() => {
  asked.length = 0
})
afterEach(() => line.unmount())

describe('a part that is typed', () => {
  it('is handed out by Enter, and the line is empty for the next', async () => {
    answer = () => made()
    show()
    await type('rule')
    await press('Enter')
    expect(line.emitted('made')).toEqual([[RULE]])
    expect(field().element.value).toBe('')
    await press('Enter')
    expect(line.emitted('made')).toHaveLength(1)
  })

  it('is read by Enter also if the server has not answered yet', async () => {
    answer = () => made()
    show()
    field().element.focus()
    await field().setValue('rule')
    await press('Enter')
    expect(asked).toEqual(['rule'])
    expect(line.emitted('made')).toEqual([[RULE]])
  })

  it('stays as it was typed if it is not understood, and says why only after Enter', async () => {
    answer = () => unclear()
    show()
    await type('button Open')
    expect(line.find('[role=alert]').exists()).toBe(false)
    await press('Enter')
    expect(line.get('[role=alert]').text()).toBe('No file is called so.')
    expect(field().element.value).toBe('button Open')
    expect(field().attributes('aria-invalid')).toBe('true')
    expect(line.emitted('made')).toBeUndefined()
  })

  it('offers corrections in the place of ways to go on, and takes one by Enter', async () => {
    const correction = { says: 'hive-planner.pdf', text: 'button Open to file hive-planner.pdf' }
    answer = (text) => (text.includes('hive') ? made() : unclear([correction]))
    show()
    await type('button Open to file planner')
    await press('Enter')
    expect(offered()).toHaveLength(1)
    await press('ArrowDown')
    await press('Enter')
    expect(field().element.value).toBe('button Open to file hive-planner.pdf')
    expect(line.emitted('made')).toBeUndefined()
    await press('Enter')
    expect(line.emitted('made')).toHaveLength(1)
  })

  it('goes on by Tab with the first way', async () => {
    answer = (text) => made(text === 'ru' ? [{ text: 'rule', from: 0, what: 'word' }] : [])
    show()
    await type('ru')
    await press('Tab')
    expect(field().element.value.trim()).toBe('rule')
  })

  it('is left by Escape, which first closes the ways to go on', async () => {
    answer = () => made([{ text: 'rule', from: 0, what: 'word' }])
    show()
    await type('ru')
    await press('Escape')
    expect(line.emitted('leave')).toBeUndefined()
    await press('Escape')
    expect(line.emitted('leave')).toHaveLength(1)
  })

  it('stands there again when it is changed, and stays after it was', async () => {
    answer = () => made()
    show('rule')
    expect(field().element.value).toBe('rule')
    field().element.focus()
    await press('Enter')
    expect(field().element.value).toBe('rule')
  })

  it('says that the server does not answer, and loses nothing', async () => {
    answer = () => json({ title: 'No', detail: 'The server is away.' }, 503)
    show()
    await type('rule')
    expect(line.get('[role=alert]').text()).toContain('The server is away.')
    expect(field().element.value).toBe('rule')
  })
})
