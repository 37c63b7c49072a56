import { isMark, isSend } from './graph'
import type { Placed } from './columns'
import type { TrellisEvent, TrellisGraph } from './graph'
import { CHIP_BAND, HEADER, LINE, type Sizes } from './sizes'

/** The trellis from top to bottom: every rail as high as its leaves, ribbon and labels need. */

export interface Rail {
  middle: number
  half: number
  labelTop: number
}

export function railsOf(
  graph: TrellisGraph,
  placed: Map<TrellisEvent, Placed>,
  sizes: Sizes,
): Rail[] {
  const rails: Rail[] = []
  let y = HEADER
  for (let row = 0; row < graph.rows; row++) {
    const items = [...placed.values()].filter((item) => item.event.row === row)
    const links = graph.links.filter((link) => link.row === row)
    const flows = [...items.map((item) => item.event.flow), ...links.map((l) => l.startFlow)]
    const half = Math.max(6, (Math.max(0, ...flows) * sizes.full) / 2)
    const hasLeaf = items.some((item) => isSend(item.event))
    const hasChip = items.some((item) => item.chip || isMark(item.event))
    const above = hasLeaf ? sizes.leafBand : hasChip ? CHIP_BAND : 6
    const lines = items.map((item) =>
      item.label ? item.label.lines.length + item.label.figures.length : 0,
    )
    const lettered = links.some((link) => link.arm && link.hatched) ? 1 : 0
    const below = Math.max(0, lettered, ...lines) * LINE + 12
    const middle = y + above + half
    rails.push({ middle, half, labelTop: middle + half + 5 })
    y = middle + half + below
  }
  return rails
}
