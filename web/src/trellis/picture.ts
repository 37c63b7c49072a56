import type { TrellisEvent } from './graph'

/** What the trellis is drawn from: positioned shapes, nothing left to compute. */

export interface Box {
  x: number
  y: number
  width: number
  height: number
}

export interface Label extends Box {
  kind: 'email' | 'question' | 'arm' | 'end' | 'post'
  lines: string[]
  figures: string[]
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

/** Where people stand who wait at a step. */
export interface WaitingPlace {
  step: string
  x: number
  y: number
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
  /** How high a leaf is. */
  leaf: number
  posts: Post[]
  ribbons: Ribbon[]
  marks: Mark[]
  labels: Label[]
  waiting: WaitingPlace[]
  /** Where time is drawn shorter than it is. */
  breaks: { x: number; hours: number }[]
}

export interface TrellisWords {
  /** What a step is called in the picture. */
  name: (step: string) => string
  /** The figures below an email's name. */
  figures: (step: string) => string | null
  /** The line at the end of the journey. */
  goal: string | null
}
