import { describe, expect, it } from 'vitest'
import { arrivalError, change, days, duration, interval, margin, moment, percent } from './figures'

const share = { count: 56, of: 70, value: 0.8, low: 0.692, high: 0.877 }
const nothing = { count: 0, of: 0, value: null, low: null, high: null }

describe('figures', () => {
  it('say none yet for an empty denominator', () => {
    expect(percent(nothing.value)).toBe('none yet')
    expect(interval(nothing)).toBe('none yet')
    expect(margin(nothing)).toBe('')
  })

  it('carry their interval', () => {
    expect(percent(share.value, 1)).toBe('80.0%')
    expect(interval(share)).toBe('69.2 to 87.7')
    expect(margin(share)).toBe('±9.3')
  })

  it('write a change with its sign, and none on nothing', () => {
    expect(change(0.05)).toBe('+5')
    expect(change(-0.05)).toBe('−5')
    expect(change(0.001)).toBe('0')
    expect(change(null)).toBe('–')
  })

  it('name a moment by day and local time', () => {
    const arrival = {
      medianHours: 36,
      medianErrorHours: 0.2,
      quarterHours: 30,
      threeQuarterHours: 42,
      earliestHours: 25,
      latestHours: 47,
      day: 2,
      firstDay: 1,
      lastDay: 2,
    }
    expect(moment({ ...arrival, localTime: '09:00' })).toBe('Day 2 09:00')
    expect(moment({ ...arrival, localTime: null })).toBe('Day 2')
    expect(moment({ ...arrival, latestHours: 0, localTime: null })).toBe('at once')
    expect(moment(null)).toBe('')
    expect(days({ ...arrival, localTime: null })).toBe('Day 1–2')
    expect(days({ ...arrival, firstDay: 2, localTime: null })).toBe('Day 2')
    expect(arrivalError(0)).toBe('since entry')
    expect(arrivalError(0.142)).toBe('since entry, ± 9 min')
    expect(arrivalError(2.28)).toBe('since entry, ± 2.3 h')
    expect(duration(0)).toBe('at once')
    expect(duration(3.1)).toBe('3.1 h')
    expect(duration(72)).toBe('3.0 d')
  })
})
