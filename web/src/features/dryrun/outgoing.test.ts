import { describe, expect, it } from 'vitest'
import type { Outgoing } from '@/api/types'
import { dayOptions } from './outgoing'

const out = (texts: number[]) =>
  ({ firstDay: '2027-02-27', emailsByDay: [5, 0, 7], textsByDay: texts }) as unknown as Outgoing

describe('what goes out by day', () => {
  it('names each day by its date, over the end of a month', () => {
    expect(dayOptions(out([0, 0, 0])).xAxis.data).toEqual(['27 Feb', '28 Feb', '1 Mar'])
  })

  it('shows texts only where there are any', () => {
    const names = (texts: number[]) => dayOptions(out(texts)).series.map((one) => one.name)
    expect(names([0, 0, 0])).toEqual(['emails'])
    expect(names([0, 2, 0])).toEqual(['emails', 'texts'])
  })
})
