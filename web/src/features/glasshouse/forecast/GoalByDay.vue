<script setup lang="ts">
import { computed } from 'vue'
import type { ForecastFigure } from '@/api/types'
import { percent } from '@/ui/figures'

/** How many had met the goal by each day since they entered, in the band of the dry runs. */
const props = defineProps<{ figures: ForecastFigure[] }>()

const WIDTH = 600
const HEIGHT = 90
const most = computed(() =>
  Math.max(
    0.001,
    ...props.figures.map(({ high, happened }) => Math.max(high ?? 0, happened.value ?? 0)),
  ),
)
const x = (n: number) => (n / Math.max(1, props.figures.length - 1)) * WIDTH
const y = (share: number) => HEIGHT - (share / most.value) * HEIGHT
const banded = computed(() =>
  props.figures.flatMap(({ low, high }, n) =>
    low === null || high === null ? [] : [{ x: x(n), low: y(low), high: y(high) }],
  ),
)
const band = computed(() => {
  const upper = banded.value.map((one) => `${one.x},${one.high}`)
  const lower = banded.value.map((one) => `${one.x},${one.low}`).reverse()
  return [...upper, ...lower].join(' ')
})
const line = computed(() =>
  props.figures.map(({ happened }, n) => `${x(n)},${y(happened.value ?? 0)}`).join(' '),
)
const last = computed(() => props.figures.at(-1)!)
const said = computed(() => {
  const { day, happened, low, high } = last.value
  const band =
    low === null || high === null ? '' : `, expected ${percent(low, 1)} to ${percent(high, 1)}`
  return `By day ${day} since entry ${percent(happened.value, 1)} had met the goal${band}.`
})
</script>

<template>
  <figure class="px-3 pt-1 pb-2">
    <figcaption class="text-ink2">{{ said }}</figcaption>
    <svg
      :viewBox="`0 -4 ${WIDTH} ${HEIGHT + 8}`"
      class="mt-1 h-24 w-full"
      preserveAspectRatio="none"
      role="img"
      :aria-label="said"
    >
      <polygon :points="band" fill="var(--color-vine-soft)" />
      <polyline
        :points="line"
        fill="none"
        stroke="var(--color-pine)"
        stroke-width="2"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <p class="figure flex justify-between text-note text-ink2">
      <span>day 0</span><span>day {{ last.day }}</span>
    </p>
  </figure>
</template>
