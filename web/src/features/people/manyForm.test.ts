import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { page, plugins } from '@/testing'
import ManyForm from './ManyForm.vue'
import { json } from '@/api/testClient'

type Sent = { path: string; body: Record<string, unknown> }
const sent: Sent[] = []
let answer: (path: string) => { status: number; body: unknown }

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = async (request: Request) => {
    const path = new URL(request.url).pathname
    const body = request.method === 'POST' ? await request.json() : {}
    if (request.method === 'POST') sent.push({ path, body })
    const { status, body: said } = answer(path)
    return json(said, status)
  }
  return answeredBy(original, fetch)
})

const usual = (path: string) => ({
  status: 200,
  body: path.endsWith('/names')
    ? [
        { id: 1, kind: 'TAG', name: 'market', fieldType: null, people: 3 },
        { id: 2, kind: 'LIST', name: 'Newcomers', fieldType: null, people: 3 },
      ]
    : path.endsWith('/previews')
      ? { found: 9, changing: 7, sentence: 'Tag “market”: 7 people.' }
      : { id: 1, state: 'DONE' },
})

let form: VueWrapper
async function open(first: 'TAG' | 'STOP_MAILING' | 'SET_FIELD') {
  form = mount(ManyForm, {
    props: { whom: { find: '', search: 'a', chosen: [4] }, first },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
}
beforeEach(() => {
  sent.length = 0
  answer = usual
})
afterEach(() => form.unmount())

const doIt = () => form.get<HTMLButtonElement>('button[type=submit]')
async function settle() {
  await new Promise((done) => setTimeout(done, 260))
  await flushPromises()
}

describe('something that is done to many', () => {
  it('is said before it is done, and begins only when it is complete', async () => {
    await open('TAG')
    expect(doIt().element.disabled).toBe(true)
    expect([...form.findAll('option')].map((one) => one.element.value)).toContain('market')
    expect([...form.findAll('option')].map((one) => one.element.value)).not.toContain('Newcomers')
    await form.get('input').setValue('market')
    await settle()
    expect(form.text()).toContain('Tag “market”: 7 people.')
    expect(sent.map((one) => one.path)).toEqual(['/api/people-acts/previews'])
    await form.trigger('submit')
    await flushPromises()
    expect(sent.at(-1)).toEqual({
      path: '/api/people-acts',
      body: {
        people: { find: '', search: 'a', chosen: [4] },
        change: 'TAG',
        name: 'market',
        value: null,
      },
    })
    expect(form.emitted('done')).toHaveLength(1)
  })

  it('needs no name where there is none, and a value where there is one', async () => {
    await open('STOP_MAILING')
    expect(form.find('input').exists()).toBe(false)
    expect(doIt().element.disabled).toBe(false)
    form.unmount()
    await open('SET_FIELD')
    await form.get('[aria-label="Its name"]').setValue('hives')
    expect(doIt().element.disabled).toBe(true)
    await form.get('[aria-label="Its value"]').setValue('3')
    expect(doIt().element.disabled).toBe(false)
  })

  it('says what is refused, and loses nothing', async () => {
    await open('SET_FIELD')
    answer = (path) =>
      path === '/api/people-acts'
        ? {
            status: 400,
            body: {
              code: 'bad-value',
              detail: 'x',
              problems: [
                { code: 'bad-value', place: '/value', sentence: 'A number is written like 12.' },
              ],
            },
          }
        : usual(path)
    await form.get('[aria-label="Its name"]').setValue('hives')
    await form.get('[aria-label="Its value"]').setValue('many')
    await form.trigger('submit')
    await flushPromises()
    expect(form.text()).toContain('A number is written like 12.')
    expect(form.get<HTMLInputElement>('[aria-label="Its value"]').element.value).toBe('many')
    expect(form.emitted('done')).toBeUndefined()
  })

  it('does nothing where nothing would change', async () => {
    await open('TAG')
    answer = (path) =>
      path.endsWith('/previews')
        ? { status: 200, body: { found: 9, changing: 0, sentence: 'Nothing would change.' } }
        : usual(path)
    await form.get('input').setValue('market')
    await settle()
    expect(doIt().element.disabled).toBe(true)
  })
})
