import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { PersonView } from '@/api/types'
import { page, plugins } from '@/testing'
import EditPerson from './EditPerson.vue'
import { json } from '@/api/testClient'

let answer: () => Response
const sent: Record<string, unknown>[] = []

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = async (request: Request) => {
    sent.push((await request.json()) as Record<string, unknown>)
    return answer()
  }
  return answeredBy(original, fetch)
})

const MIRA = {
  id: 7,
  version: 3,
  address: 'mira@example.com',
  firstName: 'Mira',
  lastName: null,
  phone: null,
  zone: 'Europe/Oslo',
  texts: false,
  labels: [
    { kind: 'LIST', name: 'Newcomers', since: 0, how: 'by hand' },
    { kind: 'TAG', name: 'market', since: 0, how: 'by hand' },
    { kind: 'TAG', name: 'new-keeper', since: 0, how: 'by hand' },
  ],
  fields: [{ field: 'hives', value: '2' }],
  story: [],
} as unknown as PersonView

let form: VueWrapper
beforeEach(() => {
  sent.length = 0
  answer = () => json(MIRA)
  form = mount(EditPerson, {
    props: { person: MIRA },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
})
afterEach(() => form.unmount())

const field = (id: string) => form.get<HTMLInputElement>(`#edit-${id}`)
const submit = async () => {
  await form.trigger('submit')
  await flushPromises()
}

describe('a person who is changed', () => {
  it('stays as they are where nothing is changed', async () => {
    expect(document.activeElement).toBe(field('firstName').element)
    await submit()
    expect(sent[0]).toEqual({
      version: 3,
      firstName: 'Mira',
      lastName: null,
      phone: null,
      zone: 'Europe/Oslo',
      texts: null,
      lists: ['Newcomers'],
      tags: ['market', 'new-keeper'],
      fields: [{ field: 'hives', value: '2' }],
    })
    expect(form.emitted('saved')).toHaveLength(1)
  })

  it('gets lists and tags with commas between, and fields that have a name', async () => {
    await field('tags').setValue(' market ,, fair')
    await field('lists').setValue('')
    await form
      .findAll('button')
      .find((one) => one.text() === 'Add a field')!
      .trigger('click')
    await form.get('[aria-label="Value of field 2"]').setValue('of nothing')
    await submit()
    expect(sent[0]).toMatchObject({
      lists: [],
      tags: ['market', 'fair'],
      fields: [{ field: 'hives', value: '2' }],
    })
  })

  it('is told what is wrong at its place, and nothing typed is lost', async () => {
    answer = () =>
      json(
        {
          code: 'bad-request',
          detail: 'Wrong.',
          status: 400,
          problems: [
            { code: 'bad-value', place: '/tags/1', sentence: 'A tag is too long.' },
            { code: 'bad-value', place: '/fields/0', sentence: 'Field “hives” holds number.' },
          ],
        },
        400,
      )
    await field('zone').setValue('Europe/Berlin')
    await submit()
    expect(form.text()).toContain('A tag is too long.')
    expect(form.text()).toContain('Field “hives” holds number.')
    expect(field('tags').attributes('aria-invalid')).toBe('true')
    expect(field('zone').element.value).toBe('Europe/Berlin')
    expect(form.emitted('saved')).toBeUndefined()
  })

  it('shows both sides of a lost race, and saves over the other side only when told again', async () => {
    const theirs = { ...MIRA, version: 4, firstName: 'Mirabel', labels: [], fields: [] }
    answer = () =>
      json({ code: 'save-lost', detail: 'Lost.', status: 409, current: theirs, yours: {} }, 409)
    await field('lastName').setValue('Tolland')
    await submit()
    expect(form.get('[role=alert]').text()).toContain('Mirabel')
    expect(field('lastName').element.value).toBe('Tolland')
    expect(form.emitted('saved')).toBeUndefined()
    answer = () => json(MIRA)
    await submit()
    expect(sent.map((one) => one.version)).toEqual([3, 4])
    expect(sent[1]).toMatchObject({ firstName: 'Mira', lastName: 'Tolland' })
    expect(form.emitted('saved')).toHaveLength(1)
  })

  it('can be left as the other side has them', async () => {
    answer = () =>
      json({ code: 'save-lost', detail: 'Lost.', status: 409, current: MIRA, yours: {} }, 409)
    await submit()
    await form
      .findAll('button')
      .find((one) => one.text() === 'Leave it as it is')!
      .trigger('click')
    expect(form.emitted('saved')).toHaveLength(1)
    expect(sent).toHaveLength(1)
  })

  it('is left on Escape', async () => {
    await form.trigger('keydown', { key: 'Escape' })
    expect(form.emitted('cancel')).toHaveLength(1)
  })
})
