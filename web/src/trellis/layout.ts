import type { RunMeasures, StepDocument } from '@/api/types'
import { buildGraph, type TrellisEvent, type TrellisGraph, type TrellisLink } from './graph'
import { textWidth, wrap } from './text'

/**
 * The trellis as positioned shapes: pure arithmetic from a journey and its measures. Time runs
 * strictly from left to right. Every rail has three bands of its own (leaves above, ribbon, labels
 * below), and within a band things are set one after another, so no two labels can overlap.
 */

export interface Box {
  x: number
  y: number
  width: number
  height: number
}

export interface Label extends Box {
  kind: 'email' | 'question' | 'arm' | 'end' | 'post'
  lines: string[]
  figures: string | null
  /** The step it speaks of; null for a post. */
  step: string | null
}

export interface Point {
  x: number
  top: number
  bottom: number
}

export interface Ribbon {
  id: string
  from: Point
  to: Point
  /** Where the straight run between the two curves begins and ends. */
  run: { from: Point; to: Point }
  hatched: boolean
  arm: string | null
}

export interface Mark {
  kind: TrellisEvent['kind']
  id: string
  x: number
  /** The ribbon's middle. */
  y: number
  top: number
  bottom: number
  opened: number | null
  title: string
  count: number
}

export interface Post {
  x: number
  day: string
  time: string
}

export interface TrellisPicture {
  width: number
  height: number
  top: number
  posts: Post[]
  ribbons: Ribbon[]
  marks: Mark[]
  labels: Label[]
}

export interface TrellisWords {
  /** What a step is called in the picture. */
  name: (step: string) => string
  /** The figures below an email's name. */
  figures: (step: string) => string | null
  /** The line at the end of the journey. */
  goal: string | null
}

const FULL = 44
const CURVE = 36
const HEADER = 40
const LINE = 14
const LABEL_CHARS = 17
const LEAF_BAND = 46
const CHIP_BAND = 22
const POST_WIDTH = 58

interface Placed {
  event: TrellisEvent
  x: number
  chip: { text: string; width: number } | null
  label: { lines: string[]; figures: string | null; width: number } | null
}

export function layOut(
  body: StepDocument[],
  measures: RunMeasures | null,
  words: TrellisWords,
): TrellisPicture {
  const graph = buildGraph(body, measures)
  const placed = placeInTime(graph, words)
  const rails = railsOf(graph, placed)
  return draw(graph, placed, rails, words)
}

/* ---- from left to right ---- */

function placeInTime(graph: TrellisGraph, words: TrellisWords): Map<TrellisEvent, Placed> {
  const placed = new Map<TrellisEvent, Placed>()
  const upper: number[] = new Array<number>(graph.rows).fill(0)
  const lower: number[] = new Array<number>(graph.rows).fill(0)
  let lastPost = -Infinity
  let before = { x: 24 - 18, time: 0 }
  for (const column of columnsOf(graph)) {
    const time = column[0]!.time
    const isPost = column.some((event) => event.post) && time > lastPostTime(placed)
    let x = before.x + (time > before.time ? 24 + 9 * Math.log2(1 + (time - before.time) / 24) : 18)
    if (isPost) x = Math.max(x, lastPost + POST_WIDTH + 6, POST_WIDTH / 2 + 4)
    const items = column.map((event) => dress(event, words))
    for (const item of items) x = Math.max(x, leastX(item, placed, upper, lower))
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
  return [...columns.values()]
}

function lastPostTime(placed: Map<TrellisEvent, Placed>): number {
  let latest = -1
  for (const event of placed.keys()) if (event.post) latest = Math.max(latest, event.time)
  return latest
}

function dress(event: TrellisEvent, words: TrellisWords): Placed {
  const item: Placed = { event, x: 0, chip: null, label: null }
  if (event.kind === 'branch') {
    const text = wrap(words.name(event.id), 26, 1)[0] ?? ''
    item.chip = { text, width: textWidth(text, 11) + 14 }
  } else if (event.kind === 'send') {
    const lines = wrap(words.name(event.id), LABEL_CHARS, 2)
    const figures = words.figures(event.id)
    const widest = Math.max(...lines.map((line) => textWidth(line, 12)), monoWidth(figures))
    item.label = { lines, figures, width: widest }
  } else if (event.kind === 'end' && words.goal) {
    item.label = { lines: [words.goal], figures: null, width: textWidth(words.goal, 12) + 14 }
  }
  return item
}

function monoWidth(text: string | null): number {
  return text ? text.length * 6.5 : 0
}

/** How far right an event must stand, seen from what is there already. */
function leastX(
  item: Placed,
  placed: Map<TrellisEvent, Placed>,
  upper: number[],
  lower: number[],
): number {
  const { event } = item
  let x = 0
  for (const link of event.links) {
    const curves = (link.row !== link.from.row ? 1 : 0) + (link.row !== event.row ? 1 : 0)
    const lettered = link.arm && link.hatched ? textWidth(armText(link), 11) + 10 : 0
    const first = link.from.kind === 'branch' || event.links.length > 1 || link.row !== event.row
    const run = Math.max(first ? CURVE + 14 : 20, lettered + (curves > 1 ? CURVE : 12))
    x = Math.max(x, placed.get(link.from)!.x + run + (curves > 1 ? CURVE : 0))
  }
  if (item.label) x = Math.max(x, lower[event.row]! + 10 + labelOffset(event))
  if (event.kind === 'send' || event.kind === 'change') {
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
      x = Math.max(x, lower[row]! + CURVE + 6, upper[row]! + (row > event.row ? CURVE : 0))
    }
  }
  return x
}

/** How far left of its event a label begins. */
function labelOffset(event: TrellisEvent): number {
  return event.kind === 'end' ? 0 : 10
}

function occupy(item: Placed, upper: number[], lower: number[]): void {
  const { event, x } = item
  const row = event.row
  if (item.label) lower[row] = x - labelOffset(event) + item.label.width
  if (event.kind === 'send') upper[row] = x + 14
  if (event.kind === 'change') upper[row] = x + 22
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

/* ---- from top to bottom ---- */

interface Rail {
  middle: number
  half: number
  labelTop: number
}

function railsOf(graph: TrellisGraph, placed: Map<TrellisEvent, Placed>): Rail[] {
  const rails: Rail[] = []
  let y = HEADER
  for (let row = 0; row < graph.rows; row++) {
    const items = [...placed.values()].filter((item) => item.event.row === row)
    const links = graph.links.filter((link) => link.row === row)
    const flows = [...items.map((item) => item.event.flow), ...links.map((l) => l.startFlow)]
    const half = Math.max(6, (Math.max(0, ...flows) * FULL) / 2)
    const hasLeaf = items.some((item) => item.event.kind === 'send')
    const hasChip = items.some((item) => item.chip || item.event.kind === 'change')
    const above = hasLeaf ? LEAF_BAND : hasChip ? CHIP_BAND : 6
    const lines = items.map((item) =>
      item.label ? item.label.lines.length + (item.label.figures ? 1 : 0) : 0,
    )
    const lettered = links.some((link) => link.arm && link.hatched) ? 1 : 0
    const below = Math.max(0, lettered, ...lines) * LINE + 12
    const middle = y + above + half
    rails.push({ middle, half, labelTop: middle + half + 5 })
    y = middle + half + below
  }
  return rails
}

/* ---- shapes ---- */

function draw(
  graph: TrellisGraph,
  placed: Map<TrellisEvent, Placed>,
  rails: Rail[],
  words: TrellisWords,
): TrellisPicture {
  const items = [...placed.values()]
  const ribbons = graph.links.map((link) => ribbon(link, graph, placed, rails))
  const labels = items.flatMap((item) => labelsOf(item, rails))
  for (const link of graph.links) {
    if (link.arm && link.hatched) labels.push(armLabel(link, placed, rails))
  }
  const posts = postsOf(items)
  labels.push(...posts.map(postLabel))
  const right = Math.max(
    ...items.map((item) => item.x + 24),
    ...labels.map((label) => label.x + label.width + 8),
  )
  const bottom = Math.max(HEADER + 60, ...labels.map((label) => label.y + label.height + 4))
  const lowest = rails.at(-1)!
  return {
    width: Math.ceil(right),
    height: Math.ceil(Math.max(bottom, lowest.middle + lowest.half + 8)),
    top: HEADER,
    posts,
    ribbons,
    marks: items.map((item) => mark(item, rails, words)),
    labels,
  }
}

/** Where a slice of a bundle lies: the bundle is centred on its rail, its slices from the top. */
function slice(flows: number[], position: number, rail: Rail): { top: number; bottom: number } {
  const total = flows.reduce((a, b) => a + b, 0) * FULL
  let top = rail.middle - total / 2
  for (let i = 0; i < position; i++) top += flows[i]! * FULL
  return { top, bottom: top + Math.max(1, flows[position]! * FULL) }
}

function ribbon(
  link: TrellisLink,
  graph: TrellisGraph,
  placed: Map<TrellisEvent, Placed>,
  rails: Rail[],
): Ribbon {
  const rail = rails[link.row]!
  const x0 = placed.get(link.from)!.x
  const x1 = placed.get(link.to)!.x
  const siblings = graph.links.filter((other) => other.from === link.from)
  siblings.sort((a, b) => a.slice.leaving - b.slice.leaving)
  const leaving = slice(
    siblings.map((l) => l.startFlow),
    siblings.indexOf(link),
    rails[link.from.row]!,
  )
  const arriving = slice(
    link.to.links.map((l) => l.endFlow),
    link.to.links.indexOf(link),
    rails[link.to.row]!,
  )
  const curvesOut = siblings.length > 1
  const curvesIn = link.to.links.length > 1 || link.row !== link.to.row
  const a = curvesOut ? x0 + CURVE : x0
  const b = curvesIn ? Math.max(a, x1 - CURVE) : x1
  return {
    id: `${link.from.id}>${link.to.id}/${link.row}`,
    from: { x: x0, ...leaving },
    run: {
      from: { x: a, ...slice([link.startFlow], 0, rail) },
      to: { x: b, ...slice([link.endFlow], 0, rail) },
    },
    to: { x: x1, ...arriving },
    hatched: link.hatched,
    arm: link.arm?.id ?? null,
  }
}

function mark(item: Placed, rails: Rail[], words: TrellisWords): Mark {
  const { event, x } = item
  const rail = rails[event.row]!
  const half = Math.max(1, (event.flow * FULL) / 2)
  return {
    kind: event.kind,
    id: event.id,
    x,
    y: rail.middle,
    top: rail.middle - half,
    bottom: rail.middle + half,
    opened: event.step?.email?.opened.value ?? null,
    title: ['start', 'merge', 'end'].includes(event.kind) ? '' : words.name(event.id),
    count: event.changes,
  }
}

function labelsOf(item: Placed, rails: Rail[]): Label[] {
  const { event, x } = item
  const rail = rails[event.row]!
  const labels: Label[] = []
  if (item.chip) {
    const top = rail.middle - rail.half - CHIP_BAND + 1
    labels.push({
      kind: 'question',
      x: x - item.chip.width / 2,
      y: top,
      width: item.chip.width,
      height: 17,
      lines: [item.chip.text],
      figures: null,
      step: event.id,
    })
  }
  if (item.label) {
    const lines = item.label.lines.length + (item.label.figures ? 1 : 0)
    const isEnd = event.kind === 'end'
    labels.push({
      kind: isEnd ? 'end' : 'email',
      x: x - labelOffset(event),
      y: rail.labelTop,
      width: item.label.width,
      height: lines * LINE + (isEnd ? 4 : 0),
      lines: item.label.lines,
      figures: item.label.figures,
      step: isEnd ? null : event.id,
    })
  }
  return labels
}

function armLabel(link: TrellisLink, placed: Map<TrellisEvent, Placed>, rails: Rail[]): Label {
  const text = armText(link)
  return {
    kind: 'arm',
    x: placed.get(link.from)!.x + 4,
    y: rails[link.row]!.labelTop,
    width: textWidth(text, 11),
    height: LINE,
    lines: [text],
    figures: null,
    step: link.from.id,
  }
}

function postsOf(items: Placed[]): Post[] {
  const posts = new Map<number, Post>()
  const sorted = [...items].sort((a, b) => a.x - b.x)
  for (const { event, x } of sorted) {
    if (event.post && !posts.has(event.time)) {
      posts.set(event.time, { x, day: `Day ${event.post.day}`, time: event.post.time })
    }
  }
  return [...posts.values()]
}

function postLabel(post: Post): Label {
  return {
    kind: 'post',
    x: post.x - POST_WIDTH / 2,
    y: 4,
    width: POST_WIDTH,
    height: 2 * LINE,
    lines: [post.day],
    figures: post.time,
    step: null,
  }
}
