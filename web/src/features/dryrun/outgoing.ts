import type { Outgoing } from '@/api/types'
import { GRID_LINES, PLAIN_CHART } from '@/ui/chart'

/** Emails and texts by day, for the chart library. */
export function dayOptions(out: Outgoing) {
  const first = Date.parse(`${out.firstDay}T00:00:00Z`)
  const days = out.emailsByDay.map((_, day) =>
    new Date(first + day * 86_400_000).toLocaleDateString('en-GB', {
      day: 'numeric',
      month: 'short',
      timeZone: 'UTC',
    }),
  )
  const bars = (name: string, data: number[], color: string) => ({
    type: 'bar',
    name,
    stack: 'messages',
    data,
    itemStyle: { color },
    barCategoryGap: '20%',
  })
  const texts = out.textsByDay.some((count) => count > 0)
  return {
    ...PLAIN_CHART,
    grid: { left: 52, right: 12, top: 8, bottom: 24 },
    tooltip: { trigger: 'axis', confine: true },
    xAxis: { type: 'category', data: days, axisLabel: { hideOverlap: true } },
    yAxis: { type: 'value', splitLine: GRID_LINES },
    series: [
      bars('emails', out.emailsByDay, 'var(--color-vine)'),
      ...(texts ? [bars('texts', out.textsByDay, 'var(--color-plum)')] : []),
    ],
  }
}
