import type { Arrival, Estimated, Share } from '@/api/types'

/** Words for numbers that the server computed. Nothing is computed here but the rounding. */

export const NONE_YET = 'none yet'

export function percent(value: number | null | undefined, digits = 0): string {
  return value == null ? NONE_YET : `${(value * 100).toFixed(digits)}%`
}

/** A share as a bare number of points, such as 44 or 5.3. */
export function points(value: number | null | undefined, digits = 0): string {
  return value == null ? '–' : (value * 100).toFixed(digits)
}

/** A change in points with its sign; a real minus, and no sign on nothing. */
export function change(value: number | null | undefined, digits = 0): string {
  if (value == null) return '–'
  const text = (value * 100).toFixed(digits)
  if (Number(text) === 0) return (0).toFixed(digits)
  return value > 0 ? `+${text}` : text.replace('-', '−')
}

/** Half the width of a share's 95% interval, in points. */
export function margin(share: Share, digits = 1): string {
  if (share.low == null || share.high == null) return ''
  return `±${(((share.high - share.low) / 2) * 100).toFixed(digits)}`
}

export function interval(share: Share, digits = 1): string {
  if (share.low == null || share.high == null) return NONE_YET
  return `${points(share.low, digits)} to ${points(share.high, digits)}`
}

export function count(value: number): string {
  return value.toLocaleString('en-US')
}

/** When people get somewhere: "Day 1 09:00", "Day 5", "at once". */
export function moment(arrival: Arrival | null): string {
  if (!arrival) return ''
  if (arrival.latestHours < 0.1) return 'at once'
  return arrival.localTime ? `Day ${arrival.day} ${arrival.localTime}` : `Day ${arrival.day}`
}

/** The days on which nearly all get somewhere: "Day 1", "Day 2–4"; the middle nine in ten count. */
export function days(arrival: Arrival): string {
  const { firstDay, lastDay } = arrival
  return firstDay === lastDay ? `Day ${firstDay}` : `Day ${firstDay}–${lastDay}`
}

export function duration(hours: number): string {
  if (hours < 0.1) return 'at once'
  if (hours < 48) return `${hours.toFixed(hours < 10 ? 1 : 0)} h`
  return `${(hours / 24).toFixed(1)} d`
}

/** How long a computation takes, about: "3 s", "4 min", "2.5 h". */
export function lasting(seconds: number): string {
  if (seconds < 99.5) return `${Math.max(1, Math.round(seconds))} s`
  return seconds < 5970 ? `${Math.round(seconds / 60)} min` : `${(seconds / 3600).toFixed(1)} h`
}

/** How exactly a time since entry is known, where it could be seen. */
export function arrivalError(hours: number): string {
  if (hours < 1 / 120) return 'since entry'
  return `since entry, ± ${hours < 1 ? `${Math.ceil(hours * 60)} min` : `${hours.toFixed(1)} h`}`
}

export function clock(iso: string): string {
  return new Date(iso).toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit' })
}

export function day(iso: string): string {
  return new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })
}

/** A figure that is no share, with its interval. */
export function estimated(figure: Estimated, digits = 1): string {
  return figure.value == null ? NONE_YET : grouped(figure.value, digits)
}

export function estimatedRange(figure: Estimated, digits = 1): string {
  if (figure.low == null || figure.high == null) return ''
  return `${grouped(figure.low, digits)} to ${grouped(figure.high, digits)}`
}

/** A large count in few letters: 950, 12k, 1.2m. */
export function brief(value: number): string {
  if (value < 1000) return String(value)
  if (value < 1_000_000) return `${(value / 1000).toFixed(value < 10_000 ? 1 : 0)}k`
  return `${(value / 1_000_000).toFixed(1)}m`
}

function grouped(value: number, digits: number): string {
  return value.toLocaleString('en-US', {
    minimumFractionDigits: digits,
    maximumFractionDigits: digits,
  })
}

/** "820 bytes", "31 kB", "2.4 MB". */
export function fileSize(bytes: number): string {
  if (bytes < 1000) return `${bytes} bytes`
  if (bytes < 1e6) return `${Math.round(bytes / 1000)} kB`
  return `${(bytes / 1e6).toFixed(1)} MB`
}
