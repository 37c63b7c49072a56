<script setup lang="ts">
import { computed } from 'vue'
import type { EntranceView } from '@/api/types'
import { count, day } from '@/ui/figures'
import { lastDays } from './lastDays'

/** Visits and sign-ups of the last 30 days, a pair of bars for each. */
const props = defineProps<{ days: EntranceView['days']; until: string }>()

const HEIGHT = 56
const WIDTH = 12
const all = computed(() => lastDays(props.days, props.until))
const most = computed(() => Math.max(1, ...all.value.map((one) => one.visits)))

function high(number: number): number {
  return number ? Math.max(2, (number / most.value) * HEIGHT) : 0
}
</script>

<template>
  <figure>
    <figcaption class="note mb-1 flex items-center gap-3">
      <span
        >{{ day(all[0]!.day) }} to {{ day(all.at(-1)!.day) }}, at most {{ count(most) }} a day</span
      >
      <span class="ml-auto flex items-center gap-1"
        ><i class="inline-block size-2.5 rounded-xs bg-vine-soft" /> visits</span
      >
      <span class="flex items-center gap-1"
        ><i class="inline-block size-2.5 rounded-xs bg-pine" /> signed up</span
      >
    </figcaption>
    <svg
      class="block w-full"
      :viewBox="`0 0 ${all.length * WIDTH} ${HEIGHT + 1}`"
      preserveAspectRatio="none"
      :style="{ height: `${HEIGHT + 1}px` }"
      aria-hidden="true"
    >
      <g v-for="(one, at) in all" :key="one.day">
        <title>
          {{ day(one.day) }}: {{ count(one.visits) }} visits, {{ count(one.signUps) }} signed up
        </title>
        <rect
          :x="at * WIDTH + 1"
          :y="HEIGHT - high(one.visits)"
          :width="WIDTH - 2"
          :height="high(one.visits)"
          class="fill-vine-soft"
        />
        <rect
          :x="at * WIDTH + 3"
          :y="HEIGHT - high(one.signUps)"
          :width="WIDTH - 6"
          :height="high(one.signUps)"
          class="fill-pine"
        />
      </g>
      <rect x="0" :y="HEIGHT" :width="all.length * WIDTH" height="1" class="fill-line" />
    </svg>
  </figure>
</template>
