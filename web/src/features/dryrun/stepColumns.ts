import type { RunSheet, Share, StepMeasures } from '@/api/types'

/** A column of the step table: a share with its interval, or a plain count or time. */
export interface StepColumn {
  key: string
  head: string
  /** What it is of, for those who ask. */
  title: string
  share?: (step: StepMeasures) => Share | undefined
  count?: (step: StepMeasures) => number | undefined
  hours?: (step: StepMeasures) => number | undefined
  shown: boolean
}

type Email = NonNullable<StepMeasures['email']>

const email = (pick: (of: Email) => Share) => (step: StepMeasures) =>
  step.email ? pick(step.email) : undefined

/** What nobody records, such as opens of texts, is no figure, not even one that is none yet. */
const recorded = (pick: (of: Email) => Share) => (step: StepMeasures) => {
  const share = step.email ? pick(step.email) : undefined
  return share?.of === 0 && step.email!.delivered.count > 0 ? undefined : share
}

export const COLUMNS: StepColumn[] = [
  {
    key: 'reach',
    head: 'of entered %',
    title: 'got to the step, of all who entered',
    share: (s) => s.reach,
    shown: true,
  },
  {
    key: 'sent',
    head: 'sent',
    title: 'messages that went out',
    count: (s) => s.email?.delivered.of,
    shown: false,
  },
  {
    key: 'held',
    head: 'held back',
    title: 'had to wait for the send window or the frequency guard',
    count: (s) => (s.email ? s.held : undefined),
    shown: false,
  },
  {
    key: 'skipped',
    head: 'not sent',
    title: 'went on without the message',
    count: (s) => (s.email ? s.skipped : undefined),
    shown: false,
  },
  {
    key: 'delivered',
    head: 'delivered %',
    title: 'did not bounce, of sent',
    share: email((e) => e.delivered),
    shown: false,
  },
  {
    key: 'opened',
    head: 'opened %',
    title: 'recorded opens, machine pre-loads included, of delivered',
    share: recorded((e) => e.opened),
    shown: true,
  },
  {
    key: 'openedByPeople',
    head: 'by people %',
    title: 'opens without machine pre-loads, of delivered',
    share: recorded((e) => e.openedByPeople),
    shown: true,
  },
  {
    key: 'clicked',
    head: 'clicked %',
    title: 'of delivered',
    share: email((e) => e.clicked),
    shown: true,
  },
  {
    key: 'clickToOpen',
    head: 'of opened %',
    title: 'clicked, of those who opened (click-to-open)',
    share: recorded((e) => e.clickToOpen),
    shown: true,
  },
  {
    key: 'unsubscribed',
    head: 'unsubscribed %',
    title: 'because of this message, of delivered',
    share: email((e) => e.unsubscribed),
    shown: true,
  },
  {
    key: 'bought',
    head: 'bought by it %',
    title: 'bought because of a click in it, of delivered',
    share: email((e) => e.buyers),
    shown: false,
  },
  {
    key: 'left',
    head: 'left here %',
    title: 'left the journey at this step, with the goal met or otherwise',
    share: (s) => s.left,
    shown: true,
  },
  {
    key: 'waiting',
    head: 'still here',
    title: 'stand here when they are no longer followed',
    count: (s) => s.waiting,
    shown: false,
  },
  {
    key: 'median',
    head: 'half within',
    title: 'half of those who get here are here so long after entry, told to within 1/128 of it',
    hours: (s) => s.arrival?.medianHours,
    shown: true,
  },
  {
    key: 'quarter',
    head: 'a quarter by',
    title:
      'a quarter of those who get here are here so long after entry, told to within 1/128 of it',
    hours: (s) => s.arrival?.quarterHours,
    shown: false,
  },
  {
    key: 'threeQuarters',
    head: 'three by',
    title:
      'three quarters of those who get here are here so long after entry, told to within 1/128 of it',
    hours: (s) => s.arrival?.threeQuarterHours,
    shown: false,
  },
]

export interface StepLine {
  row: RunSheet['rows'][number]
  step: StepMeasures
}

export function valueOf(column: StepColumn, step: StepMeasures): number | null {
  const share = column.share?.(step)
  return share ? share.value : (column.count?.(step) ?? column.hours?.(step) ?? null)
}
