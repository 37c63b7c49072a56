import type { CalendarSums } from '@/api/types'

/** Days are dates as ISO writes them, such as "2026-12-03". */
export function plusDays(day: string, more: number): string {
  const date = new Date(`${day}T00:00:00Z`)
  date.setUTCDate(date.getUTCDate() + more)
  return date.toISOString().slice(0, 10)
}

const WEEKDAY = new Intl.DateTimeFormat('en-GB', { weekday: 'short', timeZone: 'UTC' })
const MONTH = new Intl.DateTimeFormat('en-GB', { month: 'short', timeZone: 'UTC' })
const LONG = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'long',
  timeZone: 'UTC',
})

export interface CalendarDay {
  day: string
  weekday: string
  /** With its month where that begins to be shown, such as "1 Dec". */
  date: string
  weekend: boolean
}

/** So many days from one on. */
export function daysFrom(first: string, count: number): CalendarDay[] {
  return Array.from({ length: count }, (_, n) => {
    const day = plusDays(first, n)
    const date = new Date(`${day}T00:00:00Z`)
    const number = date.getUTCDate()
    return {
      day,
      weekday: WEEKDAY.format(date),
      date: n === 0 || number === 1 ? `${number} ${MONTH.format(date)}` : `${number}`,
      weekend: date.getUTCDay() % 6 === 0,
    }
  })
}

/** Such as "27 Nov". */
export function shortDay(day: string): string {
  const date = new Date(`${day}T00:00:00Z`)
  return `${date.getUTCDate()} ${MONTH.format(date)}`
}

/** Such as "Fri 27 November". */
export function longDay(day: string): string {
  return LONG.format(new Date(`${day}T00:00:00Z`)).replace(',', '')
}

/** What is shown of a day: all that has gone and is expected. */
export function emailsOn(sums: CalendarSums, day: number): number {
  return (sums.mean[day] ?? 0) + (sums.gone[day] ?? 0)
}

/** A number of emails, expected ones as they are said: fewer than one is not nothing. */
export function emailsIn(value: number): string {
  if (value === 0) return ''
  return value < 0.95 ? '<1' : Math.round(value).toLocaleString('en-GB')
}

/** In words, with the band of what is expected. */
export function sayEmails(sums: CalendarSums, day: number): string {
  const gone = sums.gone[day] ?? 0
  const mean = sums.mean[day] ?? 0
  const expected = `about ${emailsIn(mean)} (${Math.floor(sums.low[day] ?? 0)} to ${Math.ceil(sums.high[day] ?? 0)})`
  if (mean < 0.05) return gone ? `${gone.toLocaleString('en-GB')} gone` : 'nothing'
  return gone ? `${gone.toLocaleString('en-GB')} gone, ${expected} more` : expected
}

/** How long a leaf is, from 0 to 1, so that its area goes by the number. */
export function leafSize(value: number, most: number): number {
  return most > 0 ? Math.sqrt(value / most) : 0
}
