import type { Point, Ribbon } from './picture'

/** A ribbon's outline: straight along its rail, eased where it leaves or joins another. */
export function ribbonPath({ from, run, to }: Ribbon): string {
  return [
    `M${from.x},${from.top}`,
    ease(from, run.from, 'top'),
    `L${run.to.x},${run.to.top}`,
    ease(run.to, to, 'top'),
    `L${to.x},${to.bottom}`,
    ease(to, run.to, 'bottom'),
    `L${run.from.x},${run.from.bottom}`,
    ease(run.from, from, 'bottom'),
    'Z',
  ].join('')
}

function ease(a: Point, b: Point, edge: 'top' | 'bottom'): string {
  const middle = (a.x + b.x) / 2
  return `C${middle},${a[edge]} ${middle},${b[edge]} ${b.x},${b[edge]}`
}

/** A leaf that stands on its stem's upper end, tip up. */
export function leafPath(width: number, height: number): string {
  const w = width / 2
  return `M0,0C${-w * 1.5},${-height * 0.3} ${-w},${-height * 0.78} 0,${-height}C${w},${-height * 0.78} ${w * 1.5},${-height * 0.3} 0,0Z`
}
