import type { TriedWay } from '@/api/types'
import { GRID_LINES, PLAIN_CHART } from '@/ui/chart'

/** A variation in the picture: emails each, goal in percent, and which it is. */
type Point = [emails: number, goal: number, tried: TriedWay]

function points(tried: TriedWay[]): Point[] {
  return tried.flatMap((one) =>
    one.figures.emailsEach == null || one.figures.goal.value == null
      ? []
      : [[one.figures.emailsEach, 100 * one.figures.goal.value, one] satisfies Point],
  )
}

/** So far to both sides the picture shows at least, as a share of the emails of today's journey. */
const AROUND = 0.02

/**
 * What chance alone does to today's goal: the picture is never so near that less than that looks
 * like a difference.
 */
function byChance(today: TriedWay | undefined): [emails: number, goal: number][] {
  const emails = today?.figures.emailsEach
  const { low, high } = today?.figures.goal ?? {}
  if (emails == null || low == null || high == null) return []
  return [
    [emails * (1 - AROUND), 100 * low],
    [emails * (1 + AROUND), 100 * high],
  ]
}

/** What the goal costs in emails: everything that all people went through, and its frontier. */
export function pictureOptions(tried: TriedWay[]) {
  const most = Math.max(...tried.map((one) => one.figures.people))
  const whole = tried.filter((one) => one.figures.people === most)
  const today = whole.filter((one) => one.changes.length === 0)
  const shown = whole.filter((one) => one.row !== null)
  const others = whole.filter((one) => one.row === null && one.changes.length > 0)
  const chance = byChance(today[0])
  const frontier = points(whole.filter((one) => one.frontier)).toSorted((a, b) => a[0] - b[0])
  return {
    ...PLAIN_CHART,
    grid: { left: 52, right: 24, top: 18, bottom: 42 },
    tooltip: {
      trigger: 'item',
      confine: true,
      formatter: (point: { data: Point }) => {
        const [emails, goal, one] = point.data
        const what = one.changes.join('<br>') || 'Today'
        return `${what}<br><b>${goal.toFixed(1)}%</b>, ${emails.toFixed(2)} emails each`
      },
    },
    xAxis: {
      type: 'value',
      scale: true,
      name: 'emails each',
      nameLocation: 'middle',
      nameGap: 26,
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      scale: true,
      splitLine: GRID_LINES,
      axisLabel: { formatter: '{value}%' },
    },
    series: [
      {
        type: 'scatter',
        name: "today's 95% interval",
        symbolSize: 0,
        silent: true,
        data: chance,
        markArea: {
          silent: true,
          itemStyle: { color: 'var(--color-marigold)', opacity: 0.12 },
          label: {
            formatter: "today's 95% interval",
            position: 'insideTopRight',
            color: 'var(--color-ink2)',
            fontSize: 11,
          },
          data: chance.length ? [chance.map(([, goal]) => ({ yAxis: goal }))] : [],
        },
      },
      {
        type: 'line',
        name: 'frontier',
        step: 'end',
        symbol: 'none',
        silent: true,
        data: frontier.map(([emails, goal]) => [emails, goal]),
        lineStyle: { color: 'var(--color-leaf)', width: 1.5, type: 'dashed' },
      },
      scatter('tried', points(others), 7, 'var(--color-stone)'),
      scatter('found', points(shown), 12, 'var(--color-vine)', true),
      scatter('today', points(today), 12, 'var(--color-marigold)'),
    ],
  }
}

function scatter(name: string, data: Point[], size: number, color: string, numbered = false) {
  return {
    type: 'scatter',
    name,
    data,
    symbolSize: size,
    labelLayout: { moveOverlap: 'shiftX' },
    itemStyle: { color, opacity: name === 'tried' ? 0.6 : 1 },
    label: {
      show: numbered || name === 'today',
      position: 'top',
      formatter: (point: { data: Point }) =>
        numbered ? String((point.data[2].row ?? 0) + 1) : 'today',
    },
  }
}
