import { describe, expect, it } from 'vitest'
import type { Leeway, LeewayView, RunSheet } from '@/api/types'
import { chosenOf, grouped, usualWish, withLeeway } from './wish'

const length: Leeway = { kind: 'length', step: 'w', from: 1, to: 5, by: 1 }
const tries: Leeway = { kind: 'tries', step: 'a', from: 0, to: 2 }
const view = (leeway: Leeway, usual = false): LeewayView => ({
  id: leeway.kind,
  step: 'step' in leeway ? leeway.step : null,
  leeway,
  subject: leeway.kind,
  levels: ['one', 'two'],
  today: 0,
  sentence: leeway.kind,
  usual,
})
const frequency: Leeway = { kind: 'frequency', guards: [], orNone: true }

describe('what is looked for', () => {
  it('begins with what is usual, and as many people as the run had', () => {
    const wish = usualWish([view(length, true), view(tries)], 900)
    expect(wish.vary).toEqual([length])
    expect(wish.people).toBe(900)
    expect(usualWish([], 100).people).toBe(500)
    expect(usualWish([], 1_000_000).people).toBe(20_000)
  })

  it('lets a thing vary once, in its place, with the range that was set last', () => {
    const both = withLeeway(usualWish([view(length, true)], 900), tries, tries)
    const wider: Leeway = { ...length, to: 9 }
    const set = withLeeway(both, length, wider)
    expect(set.vary).toEqual([wider, tries])
    expect(chosenOf(set, length)).toBe(wider)
    expect(withLeeway(set, length, null).vary).toEqual([tries])
    expect(chosenOf(set, frequency)).toBeNull()
  })

  it('stands under the rows of the run sheet, and what is of the whole journey last', () => {
    const sheet = {
      rows: [{ id: 'a', sentence: { spans: [{ text: 'Send ' }, { text: 'Hello' }] } }],
    } as unknown as RunSheet
    const groups = grouped(
      [view(tries), view({ kind: 'absence', step: 'a' }), view(frequency)],
      sheet,
    )
    expect(groups.map((one) => [one.name, one.leeways.length])).toEqual([
      ['Send Hello', 2],
      ['The journey as a whole', 1],
    ])
  })
})
