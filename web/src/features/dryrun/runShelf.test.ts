import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import { page, plugins } from '@/testing'
import RunShelf from './RunShelf.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const run = (id: number, change = {}) => ({
  id,
  name: null,
  pinned: false,
  journeyVersion: 1,
  people: 5000,
  journeys: 1,
  madeAt: '2027-03-01T09:00:00Z',
  goal: { value: 0.2, low: 0.19, high: 0.21 },
  ...change,
})

let open: VueWrapper
beforeEach(async () => {
  doors.clear()
  doors.answer('GET /api/dry-runs', { runs: [run(7, { name: 'A small one' }), run(5)], total: 2 })
  open = mount(RunShelf, {
    props: { journey: 3, shown: 5 },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await open.get('button').trigger('click')
  await flushPromises()
})
afterEach(() => open.unmount())
const press = async (label: string) => {
  await open.get(`[aria-label="${label}"]`).trigger('click')
  await flushPromises()
}

describe('a run that was kept', () => {
  it('goes only at the second word, and another is not asked about then', async () => {
    doors.answer('DELETE /api/dry-runs/5', undefined)
    await press('Delete run 5')
    await press('Delete run 7')
    expect(open.find('[aria-label="Delete run 5 for good"]').exists()).toBe(false)
    expect(doors.at('DELETE /api/dry-runs/5')).toEqual([])
    await open
      .findAll('button')
      .find((one) => one.text() === 'Keep it')!
      .trigger('click')
    expect(open.find('[aria-label="Delete run 7 for good"]').exists()).toBe(false)
    await press('Delete run 5')
    await press('Delete run 5 for good')
    expect(doors.at('DELETE /api/dry-runs/5')).toHaveLength(1)
    expect(open.emitted('deleted')).toEqual([[5]])
  })

  it('keeps its name when it is pinned, and its pin when it is named', async () => {
    doors.answer('PUT /api/dry-runs/7/label', run(7))
    const pin = open.findAll('button').find((one) => one.text() === 'Pin')!
    await pin.trigger('click')
    await flushPromises()
    const name = open.get<HTMLInputElement>('[aria-label="Name of run 7"]')
    name.element.value = 'A smaller one'
    await name.trigger('change')
    await flushPromises()
    expect(doors.at('PUT /api/dry-runs/7/label').map((one) => one.body)).toEqual([
      { name: 'A small one', pinned: true },
      { name: 'A smaller one', pinned: false },
    ])
    expect(open.emitted('changed')).toHaveLength(2)
  })

  it('stays where it cannot be deleted, and says why', async () => {
    doors.refuse('DELETE /api/dry-runs/5', 'It is being compared just now.')
    await press('Delete run 5')
    await press('Delete run 5 for good')
    expect(open.text()).toContain('It is being compared just now.')
    expect(open.emitted('deleted')).toBeUndefined()
  })
})
