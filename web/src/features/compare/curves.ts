import type { Column } from '@/api/types'
import { RUN_LOOKS } from './palette'

type Point = [day: number, percent: number | null]

const inPercent = (value: number | null) => (value === null ? null : value * 100)

/** The goal met by each day since entry, with its 95% band, for the chart library. */
export function curveOptions(columns: Column[]) {
  const drawn = columns.flatMap((column, i) =>
    column.goalByDay.length ? [{ column, look: RUN_LOOKS[i]! }] : [],
  )
  return {
    animation: false,
    aria: { enabled: true },
    grid: { left: 44, right: 24, top: 14, bottom: 28 },
    textStyle: { fontFamily: 'Instrument Sans Variable', color: '#56645b' },
    tooltip: {
      trigger: 'axis',
      valueFormatter: (value: unknown) =>
        typeof value === 'number' ? `${value.toFixed(1)}%` : 'none yet',
    },
    xAxis: {
      type: 'value',
      min: 0,
      max: 'dataMax',
      splitLine: { show: false },
      axisLabel: { formatter: 'day {value}' },
    },
    yAxis: {
      type: 'value',
      min: 0,
      axisLabel: { formatter: '{value}%' },
      splitLine: { lineStyle: { color: '#e4e9e0' } },
    },
    series: drawn.flatMap(({ column, look }) => seriesOf(column, look)),
  }
}

function seriesOf(column: Column, look: (typeof RUN_LOOKS)[number]) {
  const at = (pick: (met: Column['goalByDay'][number]['met']) => number | null): Point[] => [
    [0, 0],
    ...column.goalByDay.map((point): Point => [point.day + 1, inPercent(pick(point.met))]),
  ]
  const band = {
    type: 'line',
    stack: `band-${column.run.id}`,
    symbol: 'none',
    lineStyle: { opacity: 0 },
    silent: true,
    tooltip: { show: false },
  }
  return [
    { ...band, data: at((met) => met.low) },
    {
      ...band,
      data: at((met) => (met.low === null || met.high === null ? null : met.high - met.low)),
      areaStyle: { color: look.color, opacity: 0.16 },
    },
    {
      type: 'line',
      name: column.name,
      data: at((met) => met.value),
      symbol: 'none',
      lineStyle: { color: look.color, width: 2, type: look.dash },
      itemStyle: { color: look.color },
    },
  ]
}
