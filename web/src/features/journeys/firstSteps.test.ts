import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { json } from '@/api/testClient'
import { page, plugins } from '@/testing'
import FirstSteps from './FirstSteps.vue'

const ORDER = ['PEOPLE', 'MESSAGE', 'JOURNEY', 'DRY_RUN', 'TRYOUT', 'OPEN']
let done: string[]
let putAway: boolean
let journey: number | null

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    if (request.method === 'PUT') putAway = true
    const steps = ORDER.map((step) => ({ step, done: done.includes(step) }))
    return json({ putAway, steps, journey })
  })
})

beforeEach(() => {
  done = []
  putAway = false
  journey = null
})

async function shown() {
  const steps = mount(FirstSteps, {
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
  return steps
}

it('shows the first that is not done as the next', async () => {
  done = ['PEOPLE', 'JOURNEY']
  const steps = await shown()
  expect(steps.findAll('li')).toHaveLength(6)
  expect(steps.get('[aria-current=step]').text()).toContain('A message')
  expect(steps.findAll('li')[2]!.text()).toContain('done')
})

it('leads to what needs a journey once there is one', async () => {
  const without = await shown()
  expect(without.findAll('a').map((link) => link.text())).not.toContain('Try it')
  journey = 7
  const steps = await shown()
  const links = new Map(steps.findAll('a').map((link) => [link.text(), link.attributes('href')]))
  expect(links.get('Try it')).toBe('/journeys/7/try')
  expect(links.get('Make one')).toBe('/journeys/7/dry-run')
})

it('goes once it is put away, and only then', async () => {
  done = ORDER
  const steps = await shown()
  expect(steps.text()).toContain('all of them are done')
  await steps.get('button').trigger('click')
  await flushPromises()
  expect(steps.find('section').exists()).toBe(false)
})
