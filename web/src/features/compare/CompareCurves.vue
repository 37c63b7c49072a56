<script setup lang="ts">
import { TERMS } from '@/ui/terms'
import { computed, ref } from 'vue'
import VChart from 'vue-echarts'
import type { ComparisonView } from '@/api/types'
import { useCharts } from '@/ui/chart'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { percent } from '@/ui/figures'
import { curveOptions, emailOptions } from './curves'
import { RUN_LOOKS } from './palette'

const props = defineProps<{ view: ComparisonView }>()

useCharts()

const KINDS = [
  { key: 'goal', name: 'goal met' },
  { key: 'unsubscribed', name: 'unsubscribed' },
  { key: 'emails', name: 'emails received' },
] as const
const kind = ref<(typeof KINDS)[number]['key']>('goal')

const options = computed(() => {
  const columns = props.view.columns
  if (kind.value === 'emails') {
    return emailOptions(
      columns.map(({ name, curves }, look) => ({ name, emails: curves.emails, look })),
    )
  }
  return curveOptions(
    columns.map(({ name, curves }, look) => ({
      name,
      curve: kind.value === 'goal' ? curves.goal : curves.unsubscribed,
      look,
    })),
  )
})

function inTheEnd(i: number): string {
  const { curves, measures } = props.view.columns[i]!
  if (kind.value === 'goal') return measures.goal ? percent(measures.goal.value, 1) : 'no goal'
  if (kind.value === 'emails') return curves.emails.at(-1)?.toFixed(2) ?? 'none yet'
  return percent(measures.unsubscribed.value, 2)
}

function dash(i: number) {
  const look = RUN_LOOKS[i]!
  return look.dash === 'solid' ? undefined : look.dash.join(' ')
}

const paces = computed(() =>
  props.view.comparison.wholes.flatMap((whole) => {
    if (kind.value === 'emails' || !whole) return []
    const pace = kind.value === 'goal' ? whole.goalPace : whole.unsubscribePace
    return pace ? [pace.sentence] : []
  }),
)
</script>

<template>
  <section class="panel flex min-h-0 flex-col" aria-labelledby="curves">
    <div class="panel-head">
      <h2 id="curves">By day since entry</h2>
      <ChoiceBar v-model="kind" class="ml-auto text-note" label="Which curve" :choices="KINDS" />
    </div>
    <ul class="flex flex-wrap gap-x-4 gap-y-0.5 px-3 pt-1.5" aria-label="In the end">
      <li v-for="(column, i) in view.columns" :key="column.ref" class="flex items-center gap-1.5">
        <svg viewBox="0 0 28 4" class="h-1 w-6" aria-hidden="true">
          <line
            x1="0"
            x2="28"
            y1="2"
            y2="2"
            stroke-width="2.5"
            :stroke="RUN_LOOKS[i]!.color"
            :stroke-dasharray="dash(i)"
          />
        </svg>
        {{ column.name }}
        <b class="figure">{{ inTheEnd(i) }}</b>
      </li>
    </ul>
    <VChart
      class="min-h-22.5 flex-1"
      :option="options"
      :init-options="{ renderer: 'svg' }"
      autoresize
    />
    <p
      class="note px-3 pb-1.5"
      :title="paces.length ? [...paces, TERMS.logRank].join('\n') : undefined"
    >
      {{
        kind === 'emails'
          ? 'Emails received so far by each who entered, on average.'
          : (paces[0] ?? 'People who are no longer followed count as not yet; band 95%.')
      }}
    </p>
  </section>
</template>
