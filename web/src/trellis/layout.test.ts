import { describe, expect, it } from 'vitest'
import { buildGraph, isSend } from './graph'
import { layOut } from './layout'
import type { Box, TrellisPicture, TrellisWords } from './picture'
import { randomJourney } from './randomJourney'

const NAMES = [
  'Your hive planner is here, new subject',
  'A jar on us',
  'Choosing a kit',
  'Room before they swarm in May and June',
]

const words: TrellisWords = {
  name: (step) => NAMES[Number(step.slice(1)) % NAMES.length]!,
  figures: () => '100 open 100 click',
  goal: 'goal 11.8%',
}

const JOURNEYS = Array.from({ length: 500 }, (_, seed) => ({ seed, size: 1 + (seed % 30) }))

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
  return picture.marks
    .filter(isSend)
    .map((mark) => ({ x: mark.x - 11, y: mark.top - 40, width: 22, height: 34 }))
}

describe('the trellis of random journeys up to 30 steps', () => {
  it('never lets two labels overlap, nor a label and a leaf', () => {
    for (const { seed, size } of JOURNEYS) {
      const { body, measures } = randomJourney(seed, size)
      const picture = layOut(body, measures, words)
      const leaves = leafBoxes(picture)
      picture.labels.forEach((label, i) => {
        for (const other of picture.labels.slice(i + 1)) {
          const clash = overlap(label, other)
          expect(clash, `journey ${seed}: ${label.lines} over ${other.lines}`).toBe(false)
        }
        for (const leaf of leaves) {
          expect(overlap(label, leaf), `journey ${seed}: ${label.lines} over a leaf`).toBe(false)
        }
      })
    }
  })

  it('cuts nothing off', () => {
    for (const { seed, size } of JOURNEYS) {
      const { body, measures } = randomJourney(seed, size)
      const picture = layOut(body, measures, words)
      for (const box of [...picture.labels, ...leafBoxes(picture)]) {
        expect(box.x, `journey ${seed}`).toBeGreaterThanOrEqual(0)
        expect(box.y, `journey ${seed}`).toBeGreaterThanOrEqual(0)
        expect(box.x + box.width, `journey ${seed}`).toBeLessThanOrEqual(picture.width)
        expect(box.y + box.height, `journey ${seed}`).toBeLessThanOrEqual(picture.height)
      }
    }
  })

  it('runs time strictly from left to right along every path', () => {
    for (const { seed, size } of JOURNEYS) {
      const { body, measures } = randomJourney(seed, size)
      const picture = layOut(body, measures, words)
      const x = new Map(picture.marks.map((mark) => [mark.id, mark.x]))
      for (const link of buildGraph(body, measures).links) {
        expect(x.get(link.to.id)!, `journey ${seed}`).toBeGreaterThan(x.get(link.from.id)!)
        expect(link.to.time).toBeGreaterThanOrEqual(link.from.time)
      }
    }
  })

  it('draws posts in the order of their moments', () => {
    for (const { seed, size } of JOURNEYS) {
      const { body, measures } = randomJourney(seed, size)
      const posts = layOut(body, measures, words).posts
      posts.slice(1).forEach((post, i) => expect(post.x).toBeGreaterThan(posts[i]!.x))
    }
  })

  it('keeps the ribbons of a branch as thick together as the ribbon before it', () => {
    for (const { seed, size } of JOURNEYS) {
      const { body, measures } = randomJourney(seed, size)
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
})
