import type { EntranceView } from '@/api/types'

const DAYS = 30
const DAY_MILLIS = 24 * 3600 * 1000

/** The 30 days up to one (yyyy-mm-dd), those without a visit too. */
export function lastDays(days: EntranceView['days'], until: string): EntranceView['days'] {
  const end = Date.parse(until + 'T00:00:00Z')
  return Array.from({ length: DAYS }, (_, at) => {
    const day = new Date(end - (DAYS - 1 - at) * DAY_MILLIS).toISOString().slice(0, 10)
    return days.find((one) => one.day === day) ?? { day, visits: 0, signUps: 0 }
  })
}
