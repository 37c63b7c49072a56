import type { NewsletterDocument, NewsletterLine } from '@/api/types'

/** How far newsletters are, in words. */
export const PHASES: Record<NewsletterLine['phase'], string> = {
  DRAFT: 'draft',
  PLANNED: 'planned',
  GOING_OUT: 'going out',
  GONE: 'gone',
  CALLED_BACK: 'called back',
}

type SubjectTest = NonNullable<NewsletterDocument['subjects']>
type TextAfter = NonNullable<NewsletterDocument['text']>
type OnceMore = NonNullable<NewsletterDocument['onceMore']>

/** What each option begins with, as is usual (common practice, no source). */
export const BEGINS = {
  subjects: (): SubjectTest => ({ others: [''], sharePercent: 20, by: 'OPENED', hours: 4 }),
  text: (): TextAfter => ({ text: null, hours: 12, to: 'NOT_OPENED' }),
  onceMore: (): OnceMore => ({ subject: '', hours: 72 }),
}

export const MOST_SUBJECTS = 3
const MOST_HOURS = 12

/** Over how long one goes out, by hours. */
export const OVER_HOURS = Array.from({ length: MOST_HOURS + 1 }, (_, hours) =>
  hours === 0 ? 'all at once' : hours === 1 ? 'over an hour' : `over ${hours} hours`,
)

/** The finding about a field, if there is one. */
export function about<F extends { place: string; sentence: string }>(
  findings: F[],
  place: string,
): F | undefined {
  return findings.find((one) => one.place === place)
}

/** Tomorrow at nine by somebody's calendar, to begin with. */
export function tomorrow(today: string): { date: string; at: string; theirTime: boolean } {
  const day = new Date(`${today}T00:00:00Z`)
  day.setUTCDate(day.getUTCDate() + 1)
  return { date: day.toISOString().slice(0, 10), at: '09:00', theirTime: false }
}
