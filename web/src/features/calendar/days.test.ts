import { describe, expect, it } from 'vitest'
import { daysFrom, emailsIn, leafSize, longDay, plusDays, sayEmails } from './days'

const sums = { mean: [12.4, 0, 0.3], low: [4.2, 0, 0], high: [20.1, 0, 1.2], gone: [0, 7, 2] }

describe('days of the calendar', () => {
  it('go on over months, years and clocks that change', () => {
    expect(plusDays('2026-12-31', 1)).toBe('2027-01-01')
    expect(plusDays('2027-03-28', 1)).toBe('2027-03-29')
    expect(plusDays('2027-03-01', -1)).toBe('2027-02-28')
  })

  it('name their month where it begins', () => {
    const days = daysFrom('2026-11-29', 3)
    expect(days.map((one) => one.date)).toEqual(['29 Nov', '30', '1 Dec'])
    expect(days.map((one) => one.weekday)).toEqual(['Sun', 'Mon', 'Tue'])
    expect(days.map((one) => one.weekend)).toEqual([true, false, false])
    expect(longDay('2026-11-27')).toBe('Fri 27 November')
  })
})

describe('what goes out', () => {
  it('is said with its band, and apart from what has gone', () => {
    expect(sayEmails(sums, 0)).toBe('about 12 (4 to 21)')
    expect(sayEmails(sums, 1)).toBe('7 gone')
    expect(sayEmails(sums, 2)).toBe('2 gone, about <1 (0 to 2) more')
    expect(sayEmails({ mean: [0], low: [0], high: [0], gone: [0] }, 0)).toBe('nothing')
  })

  it('is never nothing while a little is expected', () => {
    expect(emailsIn(0)).toBe('')
    expect(emailsIn(0.2)).toBe('<1')
    expect(emailsIn(3180)).toBe('3,180')
  })

  it('is drawn by area', () => {
    expect(leafSize(25, 100)).toBe(0.5)
    expect(leafSize(0, 0)).toBe(0)
  })
})
