<script setup lang="ts">
import { computed } from 'vue'
import type { DayView } from '@/api/types'
import { emailsIn, longDay } from './days'
import { placeOf } from './lanes'

/** A day, hour by hour. */
const props = defineProps<{ day: string; view: DayView | undefined }>()
const sums = computed(() =>
  Array.from({ length: 24 }, (_, hour) =>
    (props.view?.lanes ?? []).reduce((sum, lane) => sum + (lane.hours[hour] ?? 0), 0),
  ),
)
const most = computed(() => Math.max(1, ...sums.value))
const total = (hours: number[]) => hours.reduce((sum, one) => sum + one, 0)
</script>

<template>
  <section
    class="panel flex min-h-0 flex-col gap-2 overflow-y-auto p-3"
    tabindex="0"
    aria-labelledby="the-day"
  >
    <h2 id="the-day">
      <b>{{ longDay(day) }}</b>
      <span class="note ml-2">{{ view?.says.join(' ') }}</span>
    </h2>
    <div
      v-if="view?.lanes.length"
      class="flex h-12 shrink-0 items-end gap-px"
      role="img"
      :aria-label="`Emails by hour on ${longDay(day)}`"
    >
      <span
        v-for="(value, hour) in sums"
        :key="hour"
        class="flex-1 rounded-t-sm bg-leaf"
        :style="{ height: `${Math.max(value > 0 ? 2 : 0, (48 * value) / most)}px` }"
        :title="`${String(hour).padStart(2, '0')}:00: ${emailsIn(value) || 'nothing'}`"
      />
    </div>
    <p v-if="view?.lanes.length" class="note flex justify-between" aria-hidden="true">
      <span>0:00</span><span>6:00</span><span>12:00</span><span>18:00</span><span>24:00</span>
    </p>
    <ul class="grid gap-0.5">
      <li
        v-for="lane in view?.lanes"
        :key="`${lane.kind} ${lane.id}`"
        class="flex justify-between gap-3"
      >
        <RouterLink class="truncate hover:underline" :to="placeOf(lane)">{{
          lane.name
        }}</RouterLink>
        <span class="figure">{{ emailsIn(total(lane.hours)) }}</span>
      </li>
    </ul>
  </section>
</template>
