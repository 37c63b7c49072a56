import { BarChart, LineChart, ScatterChart } from 'echarts/charts'
import {
  AriaComponent,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components'
import { use } from 'echarts/core'
import { SVGRenderer } from 'echarts/renderers'

/** Makes ready what the charts of this application are drawn with. */
export function useCharts() {
  use([
    BarChart,
    LineChart,
    ScatterChart,
    GridComponent,
    MarkAreaComponent,
    MarkLineComponent,
    TooltipComponent,
    AriaComponent,
    SVGRenderer,
  ])
}

/** What all charts have in common: calm, without motion, told aloud, in our own type. */
export const PLAIN_CHART = {
  animation: false,
  aria: { enabled: true },
  textStyle: { fontFamily: 'Instrument Sans Variable', color: 'var(--color-ink2)' },
} as const

export const GRID_LINES = { lineStyle: { color: 'var(--color-line2)' } } as const
