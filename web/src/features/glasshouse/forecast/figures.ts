import type { Curve, ForecastFigure } from '@/api/types'

/** What is told of each step. */
export const OF_STEPS = [
  { key: 'OPENED', name: 'opened' },
  { key: 'CLICKED', name: 'clicked' },
  { key: 'UNSUBSCRIBED_BY', name: 'unsubscribed' },
  { key: 'DELIVERED', name: 'delivered' },
  { key: 'GOT_TO', name: 'got there' },
] as const
export type OfSteps = (typeof OF_STEPS)[number]['key']

/** What is told of the whole journey, in words. */
const OF_THE_WHOLE: Partial<Record<ForecastFigure['about'], string>> = {
  GOAL: 'goal met',
  BOUGHT: 'bought',
  UNSUBSCRIBED: 'unsubscribed',
  FINISHED: 'through',
  LEFT: 'left',
}

export interface Row {
  key: string
  name: string
  step: string | null
  figure: ForecastFigure
}

/** A row for each step that has such a figure, in the journey's order. */
export function ofSteps(
  figures: ForecastFigure[],
  about: OfSteps,
  names: Map<string, string>,
): Row[] {
  return figures
    .filter((figure) => figure.about === about && figure.step !== null)
    .map((figure) => ({
      key: `${figure.step}`,
      name: names.get(figure.step!) ?? figure.step!,
      step: figure.step,
      figure,
    }))
}

/** A row for each figure of the whole journey. */
export function ofTheWhole(figures: ForecastFigure[]): Row[] {
  return figures.flatMap((figure) => {
    const name = figure.day === null ? OF_THE_WHOLE[figure.about] : undefined
    return name ? [{ key: figure.about, name, step: null, figure }] : []
  })
}

/** The goal by days since entry. */
export function byDay(figures: ForecastFigure[]): ForecastFigure[] {
  return figures.filter((figure) => figure.day !== null)
}

/** The goal by days as a curve, with the band in which it was expected. */
export function curveOf(days: ForecastFigure[]): Curve {
  return {
    points: days.map(({ day, happened, low, high }) => ({
      day: day ?? 0,
      value: happened.value ?? 0,
      low: low ?? 0,
      high: high ?? 0,
      events: happened.count,
      atRisk: happened.of,
    })),
  }
}

/** What is to be said of each step that came otherwise than forecast. */
export function remarksOf(figures: ForecastFigure[]): Map<string, string> {
  const remarks = new Map<string, string>()
  for (const { about, step, verdict, said } of figures) {
    if (step === null || !['LOWER', 'HIGHER'].includes(verdict)) continue
    const what = OF_STEPS.find((one) => one.key === about)?.name
    const line = `${what}: ${said}`
    remarks.set(step, remarks.has(step) ? `${remarks.get(step)}\n${line}` : line)
  }
  return remarks
}

/** Where a scale ends that holds all of some figures: a whole of a hundred, fifty or ten, or less. */
export function scaleOf(rows: Row[]): number {
  const most = Math.max(
    0,
    ...rows.map(({ figure }) => Math.max(figure.high ?? 0, figure.happened.value ?? 0)),
  )
  return [0.02, 0.1, 0.5].find((end) => most <= end) ?? 1
}
