import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import type { OpenJourney } from '@/api/types'
import { json } from '@/api/testClient'
import { page, plugins } from '@/testing'
import CrowdForm from './CrowdForm.vue'

interface Sent {
  path: string
  body: Record<string, unknown>
}

const FORM = {
  entrance: 3,
  name: 'Planner',
  confirms: true,
  ways: [
    { journey: 1, name: 'First frames', byForm: true, how: 'by the form itself' },
    { journey: 4, name: 'Left on the bench', byForm: false, how: 'by leaving a cart' },
  ],
}
const CROWD = {
  id: 9,
  entrance: 'Planner',
  people: 30,
  came: 4,
  errands: 60,
  next: 1_796_000_000,
  failed: 2,
  said: 'The form was turned off.',
}

let doors: unknown[]
let crowds: unknown[]
let sent: Sent[]
let refusal: unknown

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    const path = new URL(request.url).pathname
    if (request.method === 'GET') return json({ doors, crowds })
    const text = await request.text()
    sent.push({
      path: `${request.method} ${path}`,
      body: text ? (JSON.parse(text) as Sent['body']) : {},
    })
    if (refusal) return json(refusal, 400)
    return json(
      path.startsWith('/api/live') ? { people: 50, from: 1_796_000_000 } : { doors, crowds },
    )
  })
})

beforeEach(() => {
  doors = [FORM]
  crowds = []
  sent = []
  refusal = null
})

const journey = (id: number, name: string) => ({ id, name, since: 1 }) as OpenJourney

async function shown() {
  const form = mount(CrowdForm, {
    props: { journeys: [journey(1, 'First frames'), journey(4, 'Left on the bench')] },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
  return form
}

it('has people come through the first form, into the journey that it starts', async () => {
  const form = await shown()
  await form.get('#crowd-people').setValue(30)
  await form.get('#crowd-pace').setValue('MOST_AT_FIRST')
  await form.get('form').trigger('submit')
  await flushPromises()
  expect(sent[0]!.path).toBe('POST /api/visitors/crowds')
  expect(sent[0]!.body).toMatchObject({
    entrance: 3,
    journeys: [1],
    people: 30,
    days: 7,
    pace: 'MOST_AT_FIRST',
    confirm: 80,
  })
})

it('goes into more journeys, or into none and then nowhere', async () => {
  const form = await shown()
  const boxes = form.findAll<HTMLInputElement>('input[type=checkbox]')
  await boxes[1]!.setValue(true)
  await form.get('form').trigger('submit')
  await flushPromises()
  expect(sent[0]!.body.journeys).toEqual([1, 4])
  for (const box of boxes) await box.setValue(false)
  expect(form.get('button[type=submit]').attributes('disabled')).toBeDefined()
})

it('puts them in without a form, and asks nobody to confirm then', async () => {
  const form = await shown()
  const through = form.get<HTMLSelectElement>('#crowd-through')
  through.element.selectedIndex = 1
  await through.trigger('change')
  expect(form.find('#crowd-confirm').exists()).toBe(false)
  await form.get('form').trigger('submit')
  await flushPromises()
  expect(sent[0]!.path).toBe('POST /api/live/crowds')
  expect(sent[0]!.body.journeys).toEqual([1])
  expect(form.get('[role=status]').text()).toContain('50 people come')
})

it('has nobody come by a form while none is on', async () => {
  doors = []
  const form = await shown()
  expect(form.findAll('#crowd-through option').map((one) => one.text())).toEqual([
    'no form: put in',
  ])
})

it('says at the form what is refused', async () => {
  refusal = {
    code: 'bad-value',
    detail: 'By a form 1 to 1,000 people come at once.',
    problems: [
      {
        code: 'bad-value',
        place: '/people',
        sentence: 'By a form 1 to 1,000 people come at once.',
      },
    ],
  }
  const form = await shown()
  await form.get('form').trigger('submit')
  await flushPromises()
  expect(form.get('[role=alert]').text()).toBe('By a form 1 to 1,000 people come at once.')
  expect(form.get('#crowd-people').attributes('aria-invalid')).toBe('true')
})

it('tells how far a crowd is and what could not be done, and stops it', async () => {
  crowds = [CROWD, { ...CROWD, id: 8, errands: 0, next: null }]
  const form = await shown()
  const lines = form.findAll('[aria-label=Crowds] > li')
  expect(lines).toHaveLength(1)
  expect(lines[0]!.text()).toContain('4 of 30 have signed up at “Planner”.')
  expect(lines[0]!.text()).toContain('2 things could not be done. The form was turned off.')
  await lines[0]!.get('button').trigger('click')
  await flushPromises()
  expect(sent[0]!.path).toBe('DELETE /api/visitors/crowds/9/coming')
})
