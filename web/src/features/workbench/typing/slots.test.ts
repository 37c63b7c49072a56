import { describe, expect, it } from 'vitest'
import { follow, nextSlot, slotsOf } from './slots'

const WAIT = {
  spans: [
    { text: 'Wait ', strong: false },
    { text: '2 days', strong: true },
    { text: ', then until ', strong: false },
    { text: '09:00', strong: true },
  ],
}

describe('the slots of a sentence', () => {
  it('are its strong pieces, without quotation marks', () => {
    expect(slotsOf(WAIT)).toEqual([
      { from: 5, to: 11 },
      { from: 24, to: 29 },
    ])
    const send = {
      spans: [
        { text: 'Send ', strong: false },
        { text: '“Kits”', strong: true },
      ],
    }
    expect(slotsOf(send)).toEqual([{ from: 6, to: 10 }])
  })

  it('grow and move with what is typed', () => {
    const slots = slotsOf(WAIT)
    const before = 'Wait 2 days, then until 09:00'
    expect(follow(slots, before, 'Wait 12 days, then until 09:00')).toEqual([
      { from: 5, to: 12 },
      { from: 25, to: 30 },
    ])
    expect(follow(slots, before, 'Wait 1 week, then until 09:00')).toEqual(slots)
    expect(follow(slots, before, 'Wait 2 days, then until 09:005')).toEqual([
      { from: 5, to: 11 },
      { from: 24, to: 30 },
    ])
    expect(follow(slots, before, 'W 2 days, then until 09:00')).toEqual([
      { from: 2, to: 8 },
      { from: 21, to: 26 },
    ])
  })

  it('go when their words go', () => {
    const slots = slotsOf(WAIT)
    expect(follow(slots, 'Wait 2 days, then until 09:00', 'Wait')).toHaveLength(0)
  })

  it('are gone through in both directions and left at the ends', () => {
    const slots = slotsOf(WAIT)
    expect(nextSlot(slots, slots[0]!, false)).toEqual(slots[1])
    expect(nextSlot(slots, slots[1]!, false)).toBeNull()
    expect(nextSlot(slots, slots[1]!, true)).toEqual(slots[0])
    expect(nextSlot(slots, slots[0]!, true)).toBeNull()
  })
})
