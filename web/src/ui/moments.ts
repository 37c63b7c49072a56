const FULL = new Intl.DateTimeFormat('en-GB', {
  weekday: 'short',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
})
const SHORT = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
})

/** A moment in epoch seconds, such as "Tue 1 December 2026, 09:00". */
export function fullMoment(seconds: number): string {
  return FULL.format(seconds * 1000).replace(' at ', ', ')
}

/** The same in short, such as "1 Dec, 09:00". */
export function shortMoment(seconds: number): string {
  return SHORT.format(seconds * 1000)
}

const UNITS: [number, string][] = [
  [86_400, 'day'],
  [3_600, 'hour'],
  [60, 'minute'],
]

/** A day but for some seconds is a day. */
const NEARLY = 0.99

/** How long some seconds are, in the largest unit that they fill, such as "3 days". */
export function span(seconds: number): string {
  const [unit, name] = UNITS.find(([size]) => seconds >= NEARLY * size) ?? [1, 'second']
  const many = Math.round(seconds / unit)
  return `${many} ${name}${many === 1 ? '' : 's'}`
}
