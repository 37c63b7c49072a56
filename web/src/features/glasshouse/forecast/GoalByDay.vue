<script setup lang="ts">
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { ForecastFigure } from '@/api/types'
import { curveOptions } from '@/features/compare/curves'
import { useCharts } from '@/ui/chart'
import { percent } from '@/ui/figures'
import { curveOf } from './figures'

/** How many had met the goal by each day since they entered, in the band of the dry runs. */
const props = defineProps<{ figures: ForecastFigure[] }>()

useCharts()

const options = computed(() =>
  curveOptions([{ name: 'goal met', curve: curveOf(props.figures), look: 0 }]),
)
const said = computed(() => {
  const { day, happened, low, high } = props.figures.at(-1)!
  const band =
    low === null || high === null ? '' : `, expected ${percent(low, 1)} to ${percent(high, 1)}`
  return `By day ${day} since entry ${percent(happened.value, 1)} had met the goal${band}.`
})
</script>

<template>
  <figure class="px-3 pt-1 pb-2">
    <figcaption class="text-ink2">{{ said }}</figcaption>
    <div class="h-36">
      <VChart :option="options" :init-options="{ renderer: 'svg' }" autoresize />
    </div>
  </figure>
</template>
