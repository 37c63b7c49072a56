/** What the table of runs can show of each message. */
export const MEASURES = [
  { key: 'OPENED', name: 'opened' },
  { key: 'OPENED_BY_PEOPLE', name: 'by people' },
  { key: 'CLICKED', name: 'clicked' },
  { key: 'CLICK_TO_OPEN', name: 'clicked of opened' },
  { key: 'REACHED', name: 'reached' },
  { key: 'UNSUBSCRIBED', name: 'unsubscribed' },
  { key: 'BOUGHT', name: 'bought by it' },
] as const

export type Measure = (typeof MEASURES)[number]['key']

/** How rows are made. */
export const LINE_UPS = [
  { key: 'EMAIL_ORDER', name: 'email order' },
  { key: 'DAYS', name: 'days since entry' },
  { key: 'MESSAGE', name: 'same message' },
  { key: 'STEPS', name: 'same step' },
] as const

export type LineUp = (typeof LINE_UPS)[number]['key']
