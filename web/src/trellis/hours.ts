import type { StepDocument, SketchedStep } from '@/api/types'

/** Where things stand in time, in hours since entry. */

const UNIT_HOURS = {
  MINUTES: 1 / 60,
  HOURS: 1,
  DAYS: 24,
  WEEKS: 168,
  MONTHS: 730,
  YEARS: 8766,
  WORKING_DAYS: 33.6,
}

/** The moment on the calendar that a post stands for; arrivals at no common time stand at noon. */
export function calendarHours(arrival: NonNullable<SketchedStep['arrival']>): number {
  if (arrival.latestHours < 0.1) return 0
  const [hours, minutes] = (arrival.localTime ?? '12:00').split(':').map(Number)
  return arrival.day * 24 + hours! + minutes! / 60
}

/** How far to draw a wait before there is any run to measure it by. */
export function nominalHours(step: StepDocument & { kind: 'wait' }): number {
  const rule = step.rule
  if (rule.kind === 'for') {
    return rule.amount.count * UNIT_HOURS[rule.amount.unit] + (rule.thenUntil ? 12 : 0)
  }
  return rule.kind === 'until' ? 12 : 24
}
