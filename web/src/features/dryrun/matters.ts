import type { Sweep } from '@/api/types'
import { GRID_LINES, PLAIN_CHART } from '@/ui/chart'

/** The goal over a number's range, with the 95% interval of its change, for the chart library. */
export function sweepOptions(sweep: Sweep) {
  const percent = (share: number | null | undefined) => (share == null ? null : share * 100)
  const here = sweep.points.find((point) => point.value === sweep.value)
  const base = percent(here?.goal.value) ?? 0
  const band = {
    type: 'line',
    stack: 'band',
    symbol: 'none',
    lineStyle: { opacity: 0 },
    silent: true,
    tooltip: { show: false },
  }
  const low = (point: Sweep['points'][number]) => base + (percent(point.against?.low) ?? 0)
  const high = (point: Sweep['points'][number]) => base + (percent(point.against?.high) ?? 0)
  return {
    ...PLAIN_CHART,
    grid: { left: 48, right: 18, top: 14, bottom: 40 },
    tooltip: {
      trigger: 'axis',
      confine: true,
      valueFormatter: (value: unknown) => (typeof value === 'number' ? `${value.toFixed(1)}%` : ''),
    },
    xAxis: {
      type: 'value',
      min: 'dataMin',
      max: 'dataMax',
      name: sweep.unit,
      nameLocation: 'middle',
      nameGap: 24,
      splitLine: { show: false },
      axisLabel: { formatter: (value: number) => String(Number(value.toFixed(2))) },
    },
    yAxis: {
      type: 'value',
      scale: true,
      splitLine: GRID_LINES,
      axisLabel: { formatter: '{value}%' },
    },
    series: [
      { ...band, data: sweep.points.map((point) => [point.value, low(point)]) },
      {
        ...band,
        data: sweep.points.map((point) => [point.value, high(point) - low(point)]),
        areaStyle: { color: 'var(--color-vine)', opacity: 0.16 },
      },
      {
        type: 'line',
        name: 'goal',
        data: sweep.points.map((point) => [point.value, percent(point.goal.value)]),
        symbolSize: 5,
        lineStyle: { color: 'var(--color-vine)', width: 2 },
        itemStyle: { color: 'var(--color-vine)' },
        markLine: {
          silent: true,
          symbol: 'none',
          label: { formatter: 'as it is', position: 'insideEndTop' },
          lineStyle: { color: 'var(--color-amber)', type: 'dashed' },
          data: [{ xAxis: sweep.value }],
        },
      },
    ],
  }
}
