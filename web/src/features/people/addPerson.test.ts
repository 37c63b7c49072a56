import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { page, plugins } from '@/testing'
import AddPerson from './AddPerson.vue'
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

let form: VueWrapper
beforeEach(() => {
  sent.length = 0
  form = mount(AddPerson, { attachTo: page(), global: { plugins: [...plugins()] as never[] } })
})
afterEach(() => form.unmount())

const field = (id: string) => form.get<HTMLInputElement>(`#add-${id}`)
const submit = async () => {
  await form.trigger('submit')
  await flushPromises()
}

describe('somebody who is added by hand', () => {
  it('begins with the address, and leaves out what is not known', async () => {
    expect(document.activeElement).toBe(field('address').element)
    answer = () => json({ id: 12 })
    await field('address').setValue('mira@example.com')
    await submit()
    expect(sent[0]).toMatchObject({
      address: 'mira@example.com',
      firstName: null,
      phone: null,
      agreed: null,
    })
    expect(form.emitted('added')).toEqual([[12]])
  })

  it('is told what is wrong at each field, and nothing typed is lost', async () => {
    answer = () =>
      json(
        {
          code: 'bad-request',
          detail: 'Two things are wrong.',
          status: 400,
          problems: [
            { code: 'bad-address', place: '/address', sentence: 'No such address.' },
            { code: 'bad-phone', place: '/phone', sentence: 'No such phone.' },
          ],
        },
        400,
      )
    await field('address').setValue('mira')
    await field('lastName').setValue('Tolland')
    await submit()
    expect(form.emitted('added')).toBeUndefined()
    expect(field('address').attributes('aria-invalid')).toBe('true')
    expect(document.getElementById('add-phone-note')?.textContent).toBe('No such phone.')
    expect(field('lastName').element.value).toBe('Tolland')
    answer = () => json({ id: 3 })
    await submit()
    expect(form.emitted('added')).toEqual([[3]])
    expect(form.findAll('[role=alert]')).toHaveLength(0)
  })

  it('can be tried again after trouble that no field has', async () => {
    answer = () => json({ code: 'disk-full', detail: 'The disk is full.', status: 507 }, 507)
    await field('address').setValue('mira@example.com')
    await submit()
    expect(form.text()).toContain('The disk is full.')
    expect(form.get('button[type=submit]').attributes('disabled')).toBeUndefined()
  })
})
