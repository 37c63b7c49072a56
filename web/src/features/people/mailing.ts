import type { PersonLine, PersonView } from '@/api/types'

/** Whether somebody may be mailed, in words. */
export const MAILING: Record<PersonLine['mailing'], string> = {
  MAY_BE_MAILED: 'may be mailed',
  NOT_CONFIRMED: 'not confirmed',
  UNSUBSCRIBED: 'unsubscribed',
  BOUNCED: 'bounced',
  COMPLAINED: 'complained',
}

/** A moment in epoch seconds, as a day. */
export function dayOf(seconds: number): string {
  return new Date(seconds * 1000).toLocaleDateString('en-GB', {
    day: 'numeric',
    month: 'short',
    year: 'numeric',
  })
}

/** What somebody chose of how often they are mailed. */
export const HOW_OFTEN: Record<PersonView['howOften'], string> = {
  AS_IT_COMES: 'email as it comes',
  ONE_A_DAY: 'at most one email a day',
  ONE_A_WEEK: 'at most one email a week',
}
