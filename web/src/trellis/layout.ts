import type { Sketch, StepDocument } from '@/api/types'
import { armText, labelOffset, placeInTime, type Placed } from './columns'
import { buildGraph, type TrellisEvent, type TrellisGraph, type TrellisLink } from './graph'
import type {
  Label,
  Mark,
  Post,
  Ribbon,
  TrellisPicture,
  TrellisWords,
  WaitingPlace,
} from './picture'
import { railsOf, type Rail } from './rails'
import { AMPLE, CHIP_BAND, HEADER, LETTER, LINE, POST_WIDTH, type Sizes } from './sizes'
import { textWidth } from './text'

/**
 * The trellis as positioned shapes: pure arithmetic from a journey and its measures. Time runs
 * strictly from left to right. Every rail has three bands of its own (leaves above, ribbon, labels
 * below), and within a band things are set one after another, so no two labels can overlap.
 *
 * @param room how wide it may be: what is left goes to the gaps in time; 0 for as narrow as can be
 * @param sizes how much room shapes and words take
 */
export function layOut(
  body: StepDocument[],
  measures: Sketch | null,
  words: TrellisWords,
  room = 0,
  sizes = AMPLE,
): TrellisPicture {
  const graph = buildGraph(body, measures)
  const { placed, breaks } = placeInTime(graph, words, sizes, room)
  const rails = railsOf(graph, placed, sizes)
  return { ...draw(graph, placed, rails, words, sizes), breaks }
}

function draw(
  graph: TrellisGraph,
  placed: Map<TrellisEvent, Placed>,
  rails: Rail[],
  words: TrellisWords,
  sizes: Sizes,
): Omit<TrellisPicture, 'breaks'> {
  const items = [...placed.values()]
  const ribbons = graph.links.map((link) => ribbon(link, graph, placed, rails, sizes))
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
    leaf: sizes.leaf,
    posts,
    ribbons,
    marks: items.map((item) => mark(item, rails, words, sizes)),
    labels,
    waiting: graph.links.flatMap((link, i) => waitingOn(link, ribbons[i]!)),
  }
}

/** The waits on a ribbon, one after another along its straight run. */
function waitingOn(link: TrellisLink, { run }: Ribbon): WaitingPlace[] {
  const middle = (point: { top: number; bottom: number }) => (point.top + point.bottom) / 2
  return link.waits.map((step, i) => {
    const share = (i + 1) / (link.waits.length + 1)
    return {
      step,
      x: run.from.x + share * (run.to.x - run.from.x),
      y: middle(run.from) + share * (middle(run.to) - middle(run.from)),
    }
  })
}

/** Where a slice of a bundle lies: the bundle is centred on its rail, its slices from the top. */
function slice(
  flows: number[],
  position: number,
  rail: Rail,
  full: number,
): { top: number; bottom: number } {
  const total = flows.reduce((a, b) => a + b, 0) * full
  let top = rail.middle - total / 2
  for (let i = 0; i < position; i++) top += flows[i]! * full
  return { top, bottom: top + Math.max(1, flows[position]! * full) }
}

function ribbon(
  link: TrellisLink,
  graph: TrellisGraph,
  placed: Map<TrellisEvent, Placed>,
  rails: Rail[],
  { full, curve }: Sizes,
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
    full,
  )
  const arriving = slice(
    link.to.links.map((l) => l.endFlow),
    link.to.links.indexOf(link),
    rails[link.to.row]!,
    full,
  )
  const curvesOut = siblings.length > 1
  const curvesIn = link.to.links.length > 1 || link.row !== link.to.row
  const a = curvesOut ? x0 + curve : x0
  const b = curvesIn ? Math.max(a, x1 - curve) : x1
  return {
    id: `${link.from.id}>${link.to.id}/${link.row}`,
    from: { x: x0, ...leaving },
    run: {
      from: { x: a, ...slice([link.startFlow], 0, rail, full) },
      to: { x: b, ...slice([link.endFlow], 0, rail, full) },
    },
    to: { x: x1, ...arriving },
    hatched: link.hatched,
    arm: link.arm?.id ?? null,
  }
}

function mark(item: Placed, rails: Rail[], words: TrellisWords, sizes: Sizes): Mark {
  const { event, x } = item
  const rail = rails[event.row]!
  const half = Math.max(1, (event.flow * sizes.full) / 2)
  return {
    kind: event.kind,
    id: event.id,
    x,
    y: rail.middle,
    top: rail.middle - half,
    bottom: rail.middle + half,
    opened: filled(event),
    title: ['start', 'merge', 'end'].includes(event.kind) ? '' : words.name(event.id),
    count: event.changes,
  }
}

/** How far a leaf is filled: by the share that opened, a text's by the share that clicked. */
function filled(event: TrellisEvent): number | null {
  const email = event.step?.email
  return (event.kind === 'sendText' ? email?.clicked.value : email?.opened.value) ?? null
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
      figures: [],
      step: event.id,
    })
  }
  if (item.label) {
    const lines = item.label.lines.length + item.label.figures.length
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
    width: textWidth(text, LETTER),
    height: LINE,
    lines: [text],
    figures: [],
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
    figures: [post.time],
    step: null,
  }
}
