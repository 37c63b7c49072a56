import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import TogetherWith from './TogetherWith.vue'

const journeys = (n: number) =>
  Array.from({ length: n }, (_, i) => ({ id: i + 1, name: `Journey ${i + 1}` }))
const names = (list: ReturnType<typeof mount>) => list.findAll('label').map((one) => one.text())

describe('other journeys that people go through', () => {
  it('all stand there if they are few', () => {
    const list = mount(TogetherWith, { props: { others: journeys(8), chosen: [] } })
    expect(names(list)).toHaveLength(8)
    expect(list.find('input[type=search]').exists()).toBe(false)
  })

  it('of very many are looked for, and those that are chosen stay', async () => {
    const list = mount(TogetherWith, { props: { others: journeys(2_000), chosen: [7] } })
    expect(names(list)).toHaveLength(21)
    await list.get('input[type=search]').setValue('journey 1999')
    expect(names(list)).toEqual(['Journey 7', 'Journey 1999'])
    await list.findAll('input[type=checkbox]')[1]!.trigger('change')
    expect(list.emitted('change')).toEqual([[[7, 1999]]])
  })

  it('are five at most', () => {
    const list = mount(TogetherWith, { props: { others: journeys(8), chosen: [1, 2, 3, 4, 5] } })
    const free = list.findAll<HTMLInputElement>('input:not(:disabled)')
    expect(free).toHaveLength(5)
  })
})
