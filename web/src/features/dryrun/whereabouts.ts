import type { RunSheet, Whereabouts } from '@/api/types'
import { GRID_LINES, PLAIN_CHART } from '@/ui/chart'

/** A band of the area chart: the people of one step, or those who are out. */
export interface Band {
  name: string
  people: number[]
  color: string
}

const GREENS = [
  'var(--color-grove-1)',
  'var(--color-grove-2)',
  'var(--color-vine)',
  'var(--color-grove-4)',
  'var(--color-grove-5)',
  'var(--color-grove-6)',
]

export function bandsOf(where: Whereabouts, sheet: RunSheet): Band[] {
  const names = new Map(sheet.rows.map((row) => [row.id, row]))
  const steps = where.steps.map((step, i): Band => {
    const row = names.get(step.step)
    const label = row?.label ? `${row.label}: ` : ''
    return {
      name: label + (row?.brief ?? step.step),
      people: step.people,
      color: GREENS[i % GREENS.length]!,
    }
  })
  return [
    ...steps,
    { name: 'left with the goal met', people: where.met, color: 'var(--color-marigold)' },
    { name: 'went through', people: where.finished, color: 'var(--color-stone)' },
    { name: 'lost', people: where.lost, color: 'var(--color-clay-pale)' },
  ]
}

/** Who stands where on one day, by step. */
export function standingOn(where: Whereabouts, day: number): Map<string, number> {
  const at = Math.min(day, where.days - 1)
  return new Map(where.steps.map((step) => [step.step, step.people[at] ?? 0]))
}

export function areaOptions(bands: Band[], days: number, day: number) {
  return {
    ...PLAIN_CHART,
    grid: { left: 52, right: 16, top: 8, bottom: 24 },
    tooltip: { trigger: 'axis', confine: true, order: 'seriesDesc' },
    xAxis: {
      type: 'category',
      boundaryGap: false,
      data: Array.from({ length: days }, (_, i) => `day ${i}`),
      axisLabel: { hideOverlap: true },
    },
    yAxis: { type: 'value', splitLine: GRID_LINES },
    series: bands.map((band, i) => ({
      type: 'line',
      name: band.name,
      stack: 'people',
      step: false,
      symbol: 'none',
      lineStyle: { width: 0 },
      itemStyle: { color: band.color },
      areaStyle: { color: band.color, opacity: 0.9 },
      data: band.people,
      ...(i === 0
        ? {
            markLine: {
              silent: true,
              symbol: 'none',
              label: { show: false },
              lineStyle: { color: 'var(--color-pine)', width: 2, type: 'solid' },
              data: [{ xAxis: Math.min(day, days - 1) }],
            },
          }
        : {}),
    })),
  }
}
