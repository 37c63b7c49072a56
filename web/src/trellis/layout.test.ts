import { describe, expect, it } from 'vitest'
import { buildGraph, isSend } from './graph'
import { layOut } from './layout'
import type { Box, TrellisPicture, TrellisWords } from './picture'
import { AMPLE, BARE, CLOSE, FLAT } from './sizes'
import { randomJourney } from './randomJourney'

const NAMES = [
  'Your hive planner is here, new subject',
  'A jar on us',
  'Choosing a kit',
  'Room before they swarm in May and June',
]

const words: TrellisWords = {
  name: (step) => NAMES[Number(step.slice(1)) % NAMES.length]!,
  figures: () => '100% open 100% click',
  goal: 'goal 11.8%',
}

/** Drawn once for all, in each of the sizes; the first of a page of 100 are small, the last have 100 steps. */
const JOURNEYS = Array.from({ length: 2_000 }, (_, seed) => {
  const size = 1 + (seed % 100)
  const { body, measures } = randomJourney(seed, size)
  const sizes = [AMPLE, CLOSE, BARE, FLAT][Math.floor(seed / 100) % 4]!
  return { seed, body, measures, sizes, picture: layOut(body, measures, words, 0, sizes) }
})

function overlap(a: Box, b: Box): boolean {
  const apart = 0.5
  return (
    a.x + apart < b.x + b.width &&
    b.x + apart < a.x + a.width &&
    a.y + apart < b.y + b.height &&
    b.y + apart < a.y + a.height
  )
}

function leafBoxes(picture: TrellisPicture): Box[] {
  return picture.marks.filter(isSend).map((mark) => ({
    x: mark.x - picture.leaf / 3,
    y: mark.top - picture.leaf - 6,
    width: (picture.leaf * 2) / 3,
    height: picture.leaf,
  }))
}

describe('the trellis of random journeys up to 100 steps', () => {
  it('never lets two labels overlap, nor a label and a leaf', () => {
    for (const { seed, picture } of JOURNEYS) {
      const leaves = leafBoxes(picture)
      picture.labels.forEach((label, i) => {
        for (const other of picture.labels.slice(i + 1)) {
          if (overlap(label, other)) {
            expect.fail(`journey ${seed}: ${label.lines} over ${other.lines}`)
          }
        }
        for (const leaf of leaves) {
          if (overlap(label, leaf)) expect.fail(`journey ${seed}: ${label.lines} over a leaf`)
        }
      })
    }
  })

  it('cuts nothing off', () => {
    for (const { seed, picture } of JOURNEYS) {
      for (const box of [...picture.labels, ...leafBoxes(picture)]) {
        const inside =
          box.x >= 0 &&
          box.y >= 0 &&
          box.x + box.width <= picture.width &&
          box.y + box.height <= picture.height
        if (!inside) expect.fail(`journey ${seed}: ${JSON.stringify(box)} is cut off`)
      }
    }
  })

  it('runs time strictly from left to right along every path', () => {
    for (const { seed, body, measures, picture } of JOURNEYS) {
      const x = new Map(picture.marks.map((mark) => [mark.id, mark.x]))
      for (const link of buildGraph(body, measures).links) {
        expect(x.get(link.to.id)!, `journey ${seed}`).toBeGreaterThan(x.get(link.from.id)!)
        expect(link.to.time).toBeGreaterThanOrEqual(link.from.time)
      }
    }
  })

  it('never lets two rails cross or run into each other', () => {
    for (const { seed, picture } of JOURNEYS) {
      const runs = picture.ribbons.map(({ id, run: { from, to } }) => ({ id, from, to }))
      runs.forEach((one, i) => {
        for (const other of runs.slice(i + 1)) {
          const meet = one.from.x + 0.5 < other.to.x && other.from.x + 0.5 < one.to.x
          const over =
            one.from.top + 0.5 < other.from.bottom && other.from.top + 0.5 < one.from.bottom
          if (meet && over) expect.fail(`journey ${seed}: ${one.id} over ${other.id}`)
        }
      })
    }
  })

  it('draws posts in the order of their moments', () => {
    for (const { picture } of JOURNEYS) {
      const posts = picture.posts
      posts.slice(1).forEach((post, i) => expect(post.x).toBeGreaterThan(posts[i]!.x))
    }
  })

  it('keeps the ribbons of a branch as thick together as the ribbon before it', () => {
    for (const { body, measures } of JOURNEYS) {
      const { links } = buildGraph(body, measures)
      for (const step of measures.steps.filter((one) => one.arms.length > 0)) {
        const out = links.filter((link) => link.from.id === step.id && link.arm)
        const total = out.reduce((sum, link) => sum + link.startFlow, 0)
        expect(total).toBeCloseTo(step.passed / measures.entered, 9)
      }
    }
  })
})

describe('the trellis before any run', () => {
  it('draws the journey with all arms alike', () => {
    const { body } = randomJourney(12, 20)
    const picture = layOut(body, null, { ...words, figures: () => null, goal: null })
    expect(picture.marks.length).toBeGreaterThan(2)
    expect(picture.ribbons.every((ribbon) => ribbon.to.x > ribbon.from.x)).toBe(true)
  })

  it('has a start and an end even when nothing is in between', () => {
    const picture = layOut([], null, words)
    expect(picture.marks.map((mark) => mark.kind)).toEqual(['start', 'end'])
  })

  it('has one place for those who wait at a step, inside the picture', () => {
    for (const { seed, picture } of JOURNEYS) {
      const steps = picture.waiting.map((place) => place.step)
      expect(new Set(steps).size, `journey ${seed}`).toBe(steps.length)
      for (const { x, y } of picture.waiting) {
        expect(x >= 0 && x <= picture.width && y >= 0 && y <= picture.height).toBe(true)
      }
    }
  })
})

/** A letter after each of some waits, in days. */
function lettersAfter(days: number[]) {
  const body = days.flatMap((count, i) => [
    { kind: 'wait', id: `w${i}`, rule: { kind: 'for', amount: { count, unit: 'DAYS' } } },
    { kind: 'sendEmail', id: `s${i}`, message: 'm' },
  ])
  return body as unknown as Parameters<typeof layOut>[0]
}

function lettersAt(picture: TrellisPicture): number[] {
  return picture.marks.filter(isSend).map((mark) => mark.x)
}

describe('the trellis in a wide room', () => {
  it('is as wide as the room, and nothing overlaps', () => {
    for (const { seed, body, measures, sizes, picture: narrow } of JOURNEYS.slice(0, 300)) {
      const room = narrow.width * 1.8
      const picture = layOut(body, measures, words, room, sizes)
      expect(picture.width, `journey ${seed}`).toBeLessThanOrEqual(room * 1.02)
      picture.labels.forEach((label, i) => {
        for (const other of picture.labels.slice(i + 1)) {
          if (overlap(label, other)) expect.fail(`journey ${seed}: ${label.lines}`)
        }
      })
    }
  })

  it('sets moments apart as time does', () => {
    const picture = layOut(lettersAfter([4, 8, 4, 6]), null, words, 3_000)
    const [a, b, c, d] = lettersAt(picture)
    const base = 24
    expect((b! - a! - base) / (c! - b! - base)).toBeCloseTo(2, 1)
    expect((d! - c! - base) / (c! - b! - base)).toBeCloseTo(1.5, 1)
    expect(picture.breaks).toEqual([])
  })

  it('breaks a gap that would leave no room for the others, and says how long it is', () => {
    const picture = layOut(lettersAfter([2, 200, 3]), null, words, 1_500)
    expect(picture.breaks).toHaveLength(1)
    expect(picture.breaks[0]!.hours).toBe(200 * 24)
    const [a, b, c] = lettersAt(picture)
    expect(b! - a!).toBeLessThanOrEqual(0.4 * 1_500 + 25)
    expect(c! - b!).toBeGreaterThan(100)
  })
})
