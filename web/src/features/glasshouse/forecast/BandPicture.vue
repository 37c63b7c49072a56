<script setup lang="ts">
import { computed } from 'vue'
import type { ForecastFigure } from '@/api/types'
import { percent } from '@/ui/figures'

/** The band in which a figure was expected, and where it came to lie. */
const props = defineProps<{ figure: ForecastFigure; to: number }>()

const outside = computed(() => ['LOWER', 'HIGHER'].includes(props.figure.verdict))
const at = (share: number) => `${Math.min(100, (share / props.to) * 100)}%`
const said = computed(() => {
  const { low, high, happened } = props.figure
  if (low === null || high === null) return 'The dry runs do not tell.'
  return `Expected ${percent(low, 1)} to ${percent(high, 1)}, happened ${percent(happened.value, 1)}.`
})
</script>

<template>
  <span class="relative block h-3 min-w-24" role="img" :aria-label="said" :title="said">
    <span class="absolute inset-x-0 top-1.25 h-0.5 rounded-full bg-line2" />
    <span
      v-if="figure.low !== null && figure.high !== null"
      class="absolute top-0.5 h-2 min-w-1 rounded-sm bg-vine-soft"
      :style="{ left: at(figure.low), width: at(figure.high - figure.low) }"
    />
    <span
      v-if="figure.happened.value !== null"
      class="absolute top-0.5 -ml-1 size-2 rounded-full"
      :class="outside ? 'bg-clay' : 'bg-pine'"
      :style="{ left: at(figure.happened.value) }"
    />
  </span>
</template>
