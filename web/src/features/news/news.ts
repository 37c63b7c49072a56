/** Where the stand-in site's feed stands. */
export const SITE = '/site/news.atom'

/** The days of the week, as issues go on them. */
export const DAYS = {
  MONDAY: 'Monday',
  TUESDAY: 'Tuesday',
  WEDNESDAY: 'Wednesday',
  THURSDAY: 'Thursday',
  FRIDAY: 'Friday',
  SATURDAY: 'Saturday',
  SUNDAY: 'Sunday',
} as const

/** What came of a moment, in a word. */
export const OUTCOMES = {
  BEGUN: 'turned on',
  SENT: 'sent',
  WAITS: 'waits',
  NOTHING: 'no news',
  SKIPPED: 'skipped',
  FAILED: 'did not go',
} as const
