import type { Curve } from '@/api/types'
import { GRID_LINES, PLAIN_CHART } from '@/ui/chart'
import { RUN_LOOKS } from './palette'

type Point = [day: number, value: number]

/** A curve to be drawn, with the place of its run, which says how it looks. */
export interface DrawnCurve {
  name: string
  curve: Curve | null
  look: number
}

const AXES = {
  ...PLAIN_CHART,
  grid: { left: 44, right: 24, top: 14, bottom: 28 },
  xAxis: {
    type: 'value',
    min: 0,
    max: 'dataMax',
    splitLine: { show: false },
    axisLabel: { formatter: 'day {value}' },
  },
} as const

/** What had happened by each day since entry, with its 95% band, for the chart library. */
export function curveOptions(curves: DrawnCurve[]) {
  return {
    ...AXES,
    tooltip: {
      trigger: 'axis',
      confine: true,
      valueFormatter: (value: unknown) =>
        typeof value === 'number' ? `${value.toFixed(1)}%` : 'none yet',
    },
    yAxis: {
      type: 'value',
      min: 0,
      axisLabel: { formatter: '{value}%' },
      splitLine: GRID_LINES,
    },
    series: curves.flatMap(({ name, curve, look }) =>
      curve && curve.points.length ? seriesOf(name, curve, look) : [],
    ),
  }
}

function seriesOf(name: string, curve: Curve, place: number) {
  const look = RUN_LOOKS[place]!
  const at = (pick: (point: Curve['points'][number]) => number): Point[] =>
    curve.points.map((point): Point => [point.day, pick(point) * 100])
  const band = {
    type: 'line',
    stack: `band-${place}`,
    symbol: 'none',
    lineStyle: { opacity: 0 },
    silent: true,
    tooltip: { show: false },
  }
  return [
    { ...band, data: at((point) => point.low) },
    {
      ...band,
      data: at((point) => point.high - point.low),
      areaStyle: { color: look.color, opacity: 0.16 },
    },
    {
      type: 'line',
      name,
      data: at((point) => point.value),
      symbol: 'none',
      lineStyle: { color: look.color, width: 2, type: look.dash },
      itemStyle: { color: look.color },
    },
  ]
}

/** Emails received so far by each who entered, for the chart library. */
export function emailOptions(runs: { name: string; emails: number[]; look: number }[]) {
  return {
    ...AXES,
    tooltip: {
      trigger: 'axis',
      confine: true,
      valueFormatter: (value: unknown) => (typeof value === 'number' ? value.toFixed(2) : ''),
    },
    yAxis: { type: 'value', min: 0, splitLine: GRID_LINES },
    series: runs.map(({ name, emails, look }) => ({
      type: 'line',
      name,
      data: emails.map((mean, day): Point => [day, mean]),
      symbol: 'none',
      lineStyle: { color: RUN_LOOKS[look]!.color, width: 2, type: RUN_LOOKS[look]!.dash },
      itemStyle: { color: RUN_LOOKS[look]!.color },
    })),
  }
}
