import type { Leeway, LeewayView, RunSheet, SearchWish } from '@/api/types'

/** What a leeway is called where its step stands above it. */
export const KINDS: Record<Leeway['kind'], string> = {
  length: 'how long',
  clockTime: 'time of day',
  onDays: 'weekdays',
  tries: 'how often it is tried again',
  order: 'changes places with the next email',
  absence: 'left out',
  weights: 'shares',
  window: 'when emails may go out',
  frequency: 'how many emails are enough',
}

export const WISHES = [
  { key: 'GOAL', name: 'more goals' },
  { key: 'ORDERS', name: 'more orders' },
  { key: 'MONEY', name: 'more money' },
  { key: 'FEWER_EMAILS', name: 'fewer emails' },
] as const

/** What is looked for unless somebody chooses: more goals by how long people wait. */
export function usualWish(leeways: LeewayView[], people: number): SearchWish {
  return {
    vary: leeways.filter((one) => one.usual).map((one) => one.leeway),
    wanted: { what: 'GOAL', emailPrice: 0, mayLose: 0.005 },
    limits: { unsubscribed: null, emailsAWeek: null, emailsAMonth: null },
    people: Math.max(500, Math.min(20_000, people)),
  }
}

/** Whether two are about the same thing, whatever their ranges. */
export function sameThing(one: Leeway, other: Leeway): boolean {
  const step = (leeway: Leeway) => ('step' in leeway ? leeway.step : null)
  return one.kind === other.kind && step(one) === step(other)
}

/** What is varied of a thing now; null if it is not. */
export function chosenOf(wish: SearchWish, thing: Leeway): Leeway | null {
  return wish.vary.find((one) => sameThing(one, thing)) ?? null
}

/** With something varied so, or no longer; the others stay in their order. */
export function withLeeway(wish: SearchWish, thing: Leeway, chosen: Leeway | null): SearchWish {
  const others = wish.vary.filter((one) => !sameThing(one, thing))
  if (chosen === null) return { ...wish, vary: others }
  const there = wish.vary.some((one) => sameThing(one, thing))
  return {
    ...wish,
    vary: there
      ? wish.vary.map((one) => (sameThing(one, thing) ? chosen : one))
      : [...wish.vary, chosen],
  }
}

export interface LeewayGroup {
  step: string | null
  name: string
  leeways: LeewayView[]
}

/** The leeways under the rows of the run sheet that they are about; the journey's own come last. */
export function grouped(leeways: LeewayView[], sheet: RunSheet): LeewayGroup[] {
  const groups: LeewayGroup[] = []
  for (const leeway of leeways) {
    const last = groups.at(-1)
    if (last && last.step === leeway.step) last.leeways.push(leeway)
    else groups.push({ step: leeway.step, name: nameOf(leeway.step, sheet), leeways: [leeway] })
  }
  return groups
}

function nameOf(step: string | null, sheet: RunSheet): string {
  if (step === null) return 'The journey as a whole'
  const row = sheet.rows.find((one) => one.id === step)
  return row ? row.sentence.spans.map((span) => span.text).join('') : step
}
