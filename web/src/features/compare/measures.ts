/** What the table of runs can show of each email. */
export const MEASURES = [
  { key: 'opened', name: 'opened' },
  { key: 'clicked', name: 'clicked' },
  { key: 'clickToOpen', name: 'clicked of opened' },
  { key: 'reach', name: 'reached' },
] as const

export type Measure = (typeof MEASURES)[number]['key']
