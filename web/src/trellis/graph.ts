import type { Sketch, StepDocument, SketchedStep } from '@/api/types'
import { calendarHours, nominalHours } from './hours'

/**
 * The journey as a graph of drawn events. Waits are not drawn: they are the distance between
 * events. Rows are rails from top to bottom; an arm below the first has rails of its own, under
 * those of the arms before it, so rails never cross.
 */

export type EventKind =
  | 'start'
  | 'sendEmail'
  | 'sendText'
  | 'change'
  | 'branch'
  | 'splitTest'
  | 'include'
  | 'handOver'
  | 'notify'
  | 'finish'
  | 'merge'
  | 'end'

/** Stands on a stem above its ribbon. */
export function isSend(event: { kind: EventKind }): boolean {
  return event.kind === 'sendEmail' || event.kind === 'sendText'
}

/** Parts the ribbon. */
export function isFork(event: { kind: EventKind }): boolean {
  return event.kind === 'branch' || event.kind === 'splitTest'
}

/** A small mark on the ribbon itself. */
export function isMark(event: { kind: EventKind }): boolean {
  return ['change', 'include', 'handOver', 'notify'].includes(event.kind)
}

export interface TrellisEvent {
  kind: EventKind
  /** The step's id; for a merge that of its branch with a suffix. */
  id: string
  row: number
  /** The lowest rail that a branch's arms use. */
  lastRow: number
  /** Place in time, in hours since entry by the calendar; never less than what comes before. */
  time: number
  /** What its post says, if it stands at a moment of its own. */
  post: { day: number; time: string } | null
  order: number
  links: TrellisLink[]
  flow: number
  step: SketchedStep | null
  changes: number
}

export interface TrellisLink {
  from: TrellisEvent
  to: TrellisEvent
  row: number
  /** Shares of all who entered, at its start and at its end. */
  startFlow: number
  endFlow: number
  /** Which of its neighbours' slices it is, from the top. */
  slice: { leaving: number; arriving: number }
  arm: { id: string; label: string; share: number } | null
  hatched: boolean
  /** The waits that people sit out on it. */
  waits: string[]
}

interface Tail {
  event: TrellisEvent
  flow: number
  row: number
  arm: TrellisLink['arm']
  hatched: boolean
  leaving: number
  /** Where people have got to in time, waits included. */
  time: number
  /** The waits since the event; those of several loose ends are the first one's. */
  waits: string[]
}

export interface TrellisGraph {
  events: TrellisEvent[]
  links: TrellisLink[]
  rows: number
}

/** What a part of the journey takes up. */
interface Laid {
  tails: Tail[]
  /** How many rails, its own too. */
  rows: number
  /** When the last arm inside it that nobody comes out of has ended. */
  endedAt: number
}

export function buildGraph(body: StepDocument[], measures: Sketch | null): TrellisGraph {
  return new Builder(measures).build(body)
}

class Builder {
  private readonly events: TrellisEvent[] = []
  private readonly links: TrellisLink[] = []
  private readonly steps: Map<string, SketchedStep>
  private readonly entered: number

  constructor(private readonly measures: Sketch | null) {
    this.steps = new Map(measures?.steps.map((step) => [step.id, step]))
    this.entered = measures?.entered ?? 0
  }

  build(body: StepDocument[]): TrellisGraph {
    const start = this.event('start', 'start', 0, 0, 1)
    start.post = null
    const tail: Tail = {
      event: start,
      flow: 1,
      row: 0,
      arm: null,
      hatched: false,
      leaving: 0,
      time: 0,
      waits: [],
    }
    const { tails, rows } = this.sequence(body, [tail], 0, 1, null)
    if (tails.length > 0) {
      const end = this.event('end', 'end', 0, Math.max(...tails.map((t) => t.time)), sum(tails))
      this.connect(tails, end)
    }
    return { events: this.events, links: this.links, rows }
  }

  /**
   * Lays a sequence on a rail; gives the loose ends behind it and how many rails it took. Rails of
   * arms that ended on the way stay taken until they have: they may still be going on while the
   * others are past.
   */
  private sequence(
    body: StepDocument[],
    tails: Tail[],
    row: number,
    taken: number,
    label: string | null,
  ): Laid {
    let rows = taken
    let kept = taken
    let endedAt = -Infinity
    for (const step of body) {
      if (tails.length === 0) break
      if (step.kind === 'wait') {
        tails = this.wait(step, tails)
        continue
      }
      if (tails.length > 1) tails = [this.merge(tails, row)]
      const event = this.place(step, tails, row)
      if (ends(step)) return { tails: [], rows, endedAt: Math.max(endedAt, event.time) }
      const flow = this.passed(event, tails[0]!.flow)
      if (step.kind === 'branch' || step.kind === 'splitTest') {
        if (event.time > endedAt) kept = taken
        const arms = this.arms(step, event, flow, row, kept, label)
        tails = arms.tails
        rows = Math.max(rows, arms.rows)
        if (arms.endedAt > -Infinity) {
          kept = rows
          endedAt = Math.max(endedAt, arms.endedAt)
        }
      } else {
        tails = [{ ...tails[0]!, event, flow, arm: null, leaving: 0, time: event.time, waits: [] }]
      }
    }
    return { tails, rows, endedAt }
  }

  private wait(step: StepDocument & { kind: 'wait' }, tails: Tail[]): Tail[] {
    const measured = this.steps.get(step.id)
    const kept = measured && measured.reach.count > 0 ? measured.passed / measured.reach.count : 1
    const hours = this.measures ? 0 : nominalHours(step)
    return tails.map((tail, i) => ({
      ...tail,
      flow: tail.flow * kept,
      time: tail.time + hours,
      waits: i === 0 ? [...tail.waits, step.id] : tail.waits,
    }))
  }

  private place(step: StepDocument, tails: Tail[], row: number): TrellisEvent {
    const kind: EventKind = step.kind === 'wait' ? 'start' : step.kind
    const measured = this.steps.get(step.id) ?? null
    const before = Math.max(...tails.map((tail) => tail.time))
    const own = measured?.arrival ? calendarHours(measured.arrival) : before
    const event = this.event(kind, step.id, row, Math.max(before, own), sum(tails))
    event.step = measured
    if (measured?.arrival && own >= before) {
      const late = measured.arrival.latestHours >= 0.1
      const text = measured.arrival.localTime ?? (late ? 'any time' : 'at once')
      event.post = { day: measured.arrival.day, time: late ? text : 'at once' }
    }
    if (measured && this.entered > 0) event.flow = measured.reach.count / this.entered
    if (step.kind === 'change') event.changes = step.changes.length
    this.connect(tails, event)
    return event
  }

  private passed(event: TrellisEvent, incoming: number): number {
    if (!event.step || this.entered === 0) return incoming
    return event.step.passed / this.entered
  }

  private arms(
    step: StepDocument & { kind: 'branch' | 'splitTest' },
    event: TrellisEvent,
    flow: number,
    row: number,
    taken: number,
    label: string | null,
  ): Laid {
    const arms = step.kind === 'branch' ? [...step.arms, step.otherwise] : step.arms
    const tails: Tail[] = []
    let used = 0
    let endedAt = -Infinity
    let lastOfFirst = -1
    arms.forEach((arm, i) => {
      const chosen = event.step?.arms.find((measured) => measured.id === arm.id)?.taken
      const armFlow = chosen && this.entered > 0 ? chosen.count / this.entered : flow / arms.length
      const letter = String.fromCharCode((label ? 97 : 65) + i)
      const name = label ? `${label}.${letter}` : letter
      const tail: Tail = {
        event,
        flow: armFlow,
        row: row + used,
        arm: { id: arm.id, label: name, share: armFlow },
        hatched: i > 0,
        leaving: i,
        time: event.time,
        waits: [],
      }
      const before = this.events.length
      const inside = this.sequence(arm.steps, [tail], row + used, i === 0 ? taken : 1, name)
      tails.push(...inside.tails)
      used += inside.rows
      endedAt = Math.max(endedAt, inside.endedAt)
      if (inside.tails.length > 0) return
      if (i === 0) lastOfFirst = Math.max(...this.events.slice(before).map((one) => one.time))
    })
    event.lastRow = row + used - 1
    // The others come back to the first arm's rail only when the last of its people has ended.
    for (const tail of tails) {
      if (lastOfFirst >= 0) tail.time = Math.max(tail.time, lastOfFirst + MOMENT)
    }
    return { tails, rows: used, endedAt }
  }

  private merge(tails: Tail[], row: number): Tail {
    const time = Math.max(...tails.map((tail) => tail.time))
    const from = tails[0]!.event
    const event = this.event(
      'merge',
      `${from.id}-merge-${this.events.length}`,
      row,
      time,
      sum(tails),
    )
    event.lastRow = Math.max(...tails.map((tail) => tail.row))
    this.connect(tails, event)
    return {
      event,
      flow: event.flow,
      row,
      arm: null,
      hatched: tails.some((tail) => tail.row === row && tail.hatched),
      leaving: 0,
      time,
      waits: [],
    }
  }

  private connect(tails: Tail[], to: TrellisEvent): void {
    const several = tails.length > 1
    tails.forEach((tail, i) => {
      const link: TrellisLink = {
        from: tail.event,
        to,
        row: tail.row,
        startFlow: tail.arm ? tail.arm.share : Math.max(tail.flow, 0),
        endFlow: several ? tail.flow : to.step && this.entered > 0 ? to.flow : tail.flow,
        slice: { leaving: tail.leaving, arriving: several ? i : 0 },
        arm: tail.arm,
        hatched: tail.hatched,
        waits: tail.waits,
      }
      if (!tail.arm && tail.event.step && this.entered > 0) {
        link.startFlow = tail.event.step.passed / this.entered
      }
      to.links.push(link)
      this.links.push(link)
    })
    to.lastRow = Math.max(to.lastRow, ...tails.map((tail) => tail.row))
  }

  private event(
    kind: EventKind,
    id: string,
    row: number,
    time: number,
    flow: number,
  ): TrellisEvent {
    const event: TrellisEvent = {
      kind,
      id,
      row,
      lastRow: row,
      time,
      post: null,
      order: this.events.length,
      links: [],
      flow,
      step: null,
      changes: 0,
    }
    this.events.push(event)
    return event
  }
}

function sum(tails: Tail[]): number {
  return tails.reduce((total, tail) => total + tail.flow, 0)
}

/** The least difference between two moments, in hours. */
const MOMENT = 0.001

/** Whether nobody goes on behind a step. */
function ends(step: StepDocument): boolean {
  return step.kind === 'finish' || (step.kind === 'handOver' && step.thenFinish)
}
