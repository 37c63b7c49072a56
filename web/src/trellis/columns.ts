import { isFork, isMark, isSend } from './graph'
import type { TrellisEvent, TrellisGraph, TrellisLink } from './graph'
import type { TrellisWords } from './picture'
import { LETTER, POST_WIDTH, type Sizes } from './sizes'
import { textWidth, wrap } from './text'

/**
 * The trellis from left to right: events in the order of their moments, each as far left as what
 * stands on its rail already allows.
 */

/** An event with its place in time and the words it needs room for. */
export interface Placed {
  event: TrellisEvent
  x: number
  chip: { text: string; width: number } | null
  label: { lines: string[]; figures: string[]; width: number } | null
}

/** Where time is drawn shorter than it is, and how long it really is. */
export interface TimeBreak {
  x: number
  hours: number
}

export interface InTime {
  placed: Map<TrellisEvent, Placed>
  breaks: TimeBreak[]
}

/** A gap in time takes at most this share of the picture; a longer one is broken. */
const LONGEST_SHARE = 0.4
const ROUNDS = 14

/**
 * @param room how wide the picture may be: what is left is given to the gaps, in proportion to the
 *   time that they take; 0 for as narrow as can be
 */
export function placeInTime(
  graph: TrellisGraph,
  words: TrellisWords,
  sizes: Sizes,
  room = 0,
): InTime {
  const narrow = place(graph, words, sizes, (hours) => sizes.day * Math.log2(1 + hours / 24))
  if (widthOf(narrow) >= room) return { placed: narrow, breaks: breaksOf(narrow) }
  const longest = LONGEST_SHARE * room
  const byTime = (perHour: number) => (hours: number) => Math.min(longest, perHour * hours)
  let best = narrow
  let least = 0
  let most = longest
  for (let round = 0; round < ROUNDS; round++) {
    const perHour = (least + most) / 2
    const tried = place(graph, words, sizes, byTime(perHour))
    if (widthOf(tried) <= room) {
      best = tried
      least = perHour
    } else {
      most = perHour
    }
  }
  return { placed: best, breaks: breaksOf(best) }
}

/** Between posts: where an hour takes less than half of what it takes in the middle one of the gaps. */
function breaksOf(placed: Map<TrellisEvent, Placed>): TimeBreak[] {
  const all = [...placed.values()].sort((a, b) => a.x - b.x)
  const posts = all.filter(({ event }) => event.post)
  // Before anything was reckoned there are no posts.
  const moments = posts.length ? posts : all
  const gaps = moments.slice(1).flatMap(({ event, x }, i) => {
    const before = moments[i]!
    const hours = event.time - before.event.time
    return hours > 0 ? [{ x: (before.x + x) / 2, hours, perHour: (x - before.x) / hours }] : []
  })
  const middle = gaps.map((gap) => gap.perHour).sort((a, b) => a - b)[gaps.length >> 1] ?? 0
  return gaps.filter((gap) => gap.perHour < middle / 2).map(({ x, hours }) => ({ x, hours }))
}

/** A fork may have the letter of an arm beside it. */
function widthOf(placed: Map<TrellisEvent, Placed>): number {
  return Math.max(
    ...[...placed.values()].map(({ event, x, label }) =>
      label ? x - labelOffset(event) + label.width + 8 : x + (isFork(event) ? 80 : 24),
    ),
  )
}

/**
 * @param apart how much further apart two moments stand than they must, by the hours between
 */
function place(
  graph: TrellisGraph,
  words: TrellisWords,
  sizes: Sizes,
  apart: (hours: number) => number,
): Map<TrellisEvent, Placed> {
  const placed = new Map<TrellisEvent, Placed>()
  const upper: number[] = new Array<number>(graph.rows).fill(0)
  const lower: number[] = new Array<number>(graph.rows).fill(0)
  let lastPost = -Infinity
  let before = { x: 24 - 18, time: 0 }
  for (const column of columnsOf(graph)) {
    const time = column[0]!.time
    const isPost = column.some((event) => event.post) && time > lastPostTime(placed)
    let x = before.x + (time > before.time ? sizes.gap + apart(time - before.time) : 18)
    if (isPost) x = Math.max(x, lastPost + POST_WIDTH + 6, POST_WIDTH / 2 + 4)
    const items = column.map((event) => dress(event, words, sizes))
    for (const item of items) x = Math.max(x, leastX(item, placed, upper, lower, sizes.curve))
    x = Math.round(x)
    for (const item of items) {
      item.x = x
      placed.set(item.event, item)
      occupy(item, upper, lower)
    }
    if (isPost) lastPost = x
    before = { x, time }
  }
  return placed
}

/** Events at one moment and at one place in their paths share a column. */
function columnsOf(graph: TrellisGraph): TrellisEvent[][] {
  const slots = new Map<TrellisEvent, number>()
  for (const event of graph.events) {
    const sameMoment = event.links
      .filter((link) => link.from.time === event.time)
      .map((link) => slots.get(link.from)! + 1)
    slots.set(event, Math.max(0, ...sameMoment))
  }
  const columns = new Map<string, TrellisEvent[]>()
  const sorted = [...graph.events].sort(
    (a, b) => a.time - b.time || slots.get(a)! - slots.get(b)! || a.order - b.order,
  )
  for (const event of sorted) {
    const key = `${event.time}/${slots.get(event)}`
    columns.set(key, [...(columns.get(key) ?? []), event])
  }
  return [...columns.values()].flatMap(behindOthers)
}

/** A fork parts over rows on which others may just come to their end: it stands behind these. */
function behindOthers(column: TrellisEvent[]): TrellisEvent[][] {
  const behind = column.filter(
    (fork) =>
      isFork(fork) && column.some((other) => other.row > fork.row && other.row <= fork.lastRow),
  )
  const first = column.filter((event) => !behind.includes(event))
  return behind.length === 0 || first.length === 0 ? [column] : [first, behind]
}

function lastPostTime(placed: Map<TrellisEvent, Placed>): number {
  let latest = -1
  for (const event of placed.keys()) if (event.post) latest = Math.max(latest, event.time)
  return latest
}

function dress(event: TrellisEvent, words: TrellisWords, sizes: Sizes): Placed {
  const item: Placed = { event, x: 0, chip: null, label: null }
  if (isFork(event)) {
    const text = wrap(words.name(event.id), 26, 1)[0] ?? ''
    item.chip = { text, width: textWidth(text, LETTER) + 14 }
  } else if (isSend(event)) {
    const lines = wrap(words.name(event.id), sizes.chars, sizes.lines)
    const figures = figuresOf(words.figures(event.id), sizes)
    const widths = [...lines.map((line) => textWidth(line, LETTER)), ...figures.map(monoWidth)]
    const widest = Math.max(...widths)
    item.label = { lines, figures, width: widest }
  } else if (event.kind === 'end' && words.goal) {
    item.label = { lines: [words.goal], figures: [], width: textWidth(words.goal, LETTER) + 14 }
  }
  return item
}

function figuresOf(text: string | null, sizes: Sizes): string[] {
  return text && sizes.figureChars ? wrap(text, sizes.figureChars, 2) : []
}

function monoWidth(text: string): number {
  return text.length * 7.1
}

/** How far right an event must stand, seen from what is there already. */
function leastX(
  item: Placed,
  placed: Map<TrellisEvent, Placed>,
  upper: number[],
  lower: number[],
  curve: number,
): number {
  const { event } = item
  let x = 0
  for (const link of event.links) {
    const curves = (link.row !== link.from.row ? 1 : 0) + (link.row !== event.row ? 1 : 0)
    const lettered = link.arm && link.hatched ? textWidth(armText(link), LETTER) + 10 : 0
    const first = isFork(link.from) || event.links.length > 1 || link.row !== event.row
    const run = Math.max(first ? curve + 14 : 20, lettered + (curves > 1 ? curve : 12))
    x = Math.max(x, placed.get(link.from)!.x + run + (curves > 1 ? curve : 0))
  }
  if (item.label) x = Math.max(x, lower[event.row]! + 10 + labelOffset(event))
  if (isSend(event) || isMark(event)) {
    x = Math.max(x, upper[event.row]! + 16)
  }
  if (item.chip) {
    x = Math.max(x, upper[event.row]! + 6 + item.chip.width / 2)
    for (let row = event.row; row <= event.lastRow; row++) {
      x = Math.max(x, lower[row]! + 8, row > event.row ? upper[row]! + 8 : 0)
    }
  }
  if (event.links.length > 1 || event.links.some((link) => link.row !== event.row)) {
    for (let row = event.row; row <= event.lastRow; row++) {
      x = Math.max(x, lower[row]! + curve + 6, upper[row]! + (row > event.row ? curve : 0))
    }
  }
  return x
}

/** How far left of its event a label begins. */
export function labelOffset(event: TrellisEvent): number {
  return event.kind === 'end' ? 0 : 10
}

function occupy(item: Placed, upper: number[], lower: number[]): void {
  const { event, x } = item
  const row = event.row
  if (item.label) lower[row] = x - labelOffset(event) + item.label.width
  if (isSend(event)) upper[row] = x + 14
  if (isMark(event)) upper[row] = x + 22
  if (item.chip) {
    upper[row] = x + item.chip.width / 2
    for (let r = row + 1; r <= event.lastRow; r++) {
      lower[r] = Math.max(lower[r]!, x)
      upper[r] = Math.max(upper[r]!, x)
    }
  }
  for (const link of event.links) {
    if (link.arm && link.hatched && !item.label) {
      lower[link.row] = Math.max(lower[link.row]!, x - 4)
    }
  }
}

export function armText(link: TrellisLink): string {
  return `${link.arm!.label} ${Math.round(link.arm!.share * 100)}%`
}
