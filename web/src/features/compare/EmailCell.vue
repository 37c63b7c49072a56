<script setup lang="ts">
import { computed } from 'vue'
import type { Column, Share } from '@/api/types'
import { change, interval, margin, percent, points } from '@/ui/figures'
import type { Measure } from './measures'

/** One email of one run: who got it, the chosen measure with its interval, and the change. */
const props = defineProps<{
  place: Column['places'][number]
  name: string
  measure: Measure
  color: string
}>()

const share = computed<Share | undefined>(() => {
  const { step } = props.place
  return props.measure === 'reach' ? step.reach : step.email?.[props.measure]
})
</script>

<template>
  <span v-if="share" class="grid grid-cols-[40px_minmax(40px,1fr)_96px_36px] items-center gap-2">
    <span class="figure text-[11.5px] text-ink2">{{ percent(place.step.reach.value) }}</span>
    <span class="min-w-0">
      <span class="block truncate text-[11.5px] text-ink2" :title="name">{{ name }}</span>
      <span class="relative block h-2" :title="`95% interval ${interval(share)}`">
        <span class="absolute inset-y-[3px] w-full rounded-full bg-line2" />
        <span
          v-if="share.low !== null && share.high !== null"
          class="absolute inset-y-[2px] rounded-full opacity-40"
          :style="{
            left: `${share.low * 100}%`,
            width: `${Math.max(0.6, (share.high - share.low) * 100)}%`,
            background: color,
          }"
        />
        <span
          v-if="share.value !== null"
          class="absolute top-0 -ml-1 size-2 rounded-full"
          :style="{ left: `${share.value * 100}%`, background: color }"
        />
      </span>
    </span>
    <span class="figure text-right whitespace-nowrap">
      <b>{{ points(share.value, 1) }}</b>
      <span class="ml-1 text-[11px] text-ink2">{{ margin(share) }}</span>
    </span>
    <span class="figure text-[11.5px] text-ink2">
      {{ place.before ? change(place.before[measure]) : '' }}
    </span>
  </span>
</template>
