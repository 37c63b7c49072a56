import type { PersonLine } from '@/api/types'

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
