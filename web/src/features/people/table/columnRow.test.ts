import { flushPromises, mount } from '@vue/test-utils'
import { describe, expect, it, vi } from 'vitest'
import type { ColumnPlan, FoundColumn } from '@/api/types'
import { page, plugins } from '@/testing'
import ColumnRow from './ColumnRow.vue'
import { json } from '@/api/testClient'

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const names = [{ id: 1, kind: 'FIELD', name: 'hives', fieldType: 'NUMBER', people: 3 }]
  const fetch = async () => json(names)
  return answeredBy(original, fetch)
})

const field = (more: Partial<ColumnPlan>): ColumnPlan => ({
  use: 'FIELD',
  field: 'since',
  type: 'DATE',
  dates: null,
  decimal: null,
  ...more,
})
const ASKS = 'Dates such as 03/04/2027 can be read in more than one way.'

async function row(plan: ColumnPlan, fault: string | null) {
  const column: FoundColumn = { head: 'since', samples: ['03/04/2027'], plan, asks: ASKS }
  const shown = mount(ColumnRow, {
    props: { column, number: 1, fault, modelValue: plan },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
  return shown
}

describe('a column of a table', () => {
  it('asks how its values are written as long as that is not said', async () => {
    const asked = await row(field({}), 'Say in which order dates stand there.')
    expect(asked.text()).toContain(ASKS)
    const said = await row(field({ dates: 'DAY_FIRST' }), 'Another column is taken for the same.')
    expect(said.text()).not.toContain(ASKS)
    expect(said.text()).toContain('Another column is taken for the same.')
  })

  it('holds what a field that is there holds', async () => {
    const shown = await row(field({}), null)
    await shown.get('[aria-label="Which field since fills"]').setValue('hives')
    await shown.get('[aria-label="Which field since fills"]').trigger('change')
    const plan = shown.emitted<[ColumnPlan]>('update:modelValue')!.at(-1)![0]
    expect(plan).toMatchObject({ use: 'FIELD', field: 'hives', type: 'NUMBER' })
  })

  it('forgets what it was a field for when it is taken for something else', async () => {
    const shown = await row(field({ dates: 'DAY_FIRST' }), null)
    await shown.get('[aria-label="What since is taken for"]').setValue('LEFT_OUT')
    const plan = shown.emitted<[ColumnPlan]>('update:modelValue')!.at(-1)![0]
    expect(plan).toEqual({ use: 'LEFT_OUT', field: null, type: null, dates: null, decimal: null })
  })
})
