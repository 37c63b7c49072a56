<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import { computed, watch } from 'vue'
import VChart from 'vue-echarts'
import type { RunSheet, Whereabouts } from '@/api/types'
import { useCharts } from '@/ui/chart'
import { count, percent } from '@/ui/figures'
import { areaOptions, bandsOf } from './whereabouts'

/** Where people are by days since entry: scrub or play through the days. */
const props = defineProps<{ where: Whereabouts; sheet: RunSheet; entered: number }>()
const day = defineModel<number>('day', { required: true })

useCharts()

const DAY_MILLIS = 450
const last = computed(() => props.where.days - 1)
const at = computed(() => Math.min(day.value, last.value))
const bands = computed(() => bandsOf(props.where, props.sheet))
const options = computed(() => areaOptions(bands.value, props.where.days, at.value))

const { pause, resume, isActive } = useIntervalFn(
  () => {
    if (day.value >= last.value) pause()
    else day.value = at.value + 1
  },
  DAY_MILLIS,
  { immediate: false },
)

function play() {
  if (isActive.value) return pause()
  if (at.value >= last.value) day.value = 0
  resume()
}

watch(
  () => props.where,
  () => pause(),
)

/** Where people are on the day, the largest crowd first. */
const now = computed(() =>
  bands.value
    .map((band) => ({ ...band, here: band.people[at.value] ?? 0 }))
    .filter((band) => band.here > 0)
    .sort((a, b) => b.here - a.here),
)
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="flex items-center gap-3 px-3 pt-1.5">
      <button type="button" class="button button-small w-16" @click="play">
        {{ isActive ? 'Pause' : 'Play' }}
      </button>
      <input
        v-model.number="day"
        type="range"
        class="flex-1 accent-vine"
        min="0"
        :max="last"
        step="1"
        aria-label="Day since entry"
        :aria-valuetext="`day ${at}`"
        @pointerdown="pause()"
      />
      <b class="w-16 font-display text-part">Day {{ at }}</b>
    </div>
    <p class="note flex flex-wrap gap-x-4 px-3 py-1" aria-live="polite">
      <span>Of {{ count(entered) }} who entered:</span>
      <span v-for="band in now" :key="band.name">
        <span class="mr-1 inline-block size-2.5 rounded-xs" :style="{ background: band.color }" />{{
          percent(band.here / entered, 1)
        }}
        {{ band.name }}
      </span>
    </p>
    <VChart
      class="min-h-0 flex-1"
      :option="options"
      :init-options="{ renderer: 'svg' }"
      autoresize
      aria-label="Chart: people at each step"
    />
  </div>
</template>
