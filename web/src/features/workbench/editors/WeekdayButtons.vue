<script setup lang="ts">
import type { TimeOfDayDocument } from '@/api/types'
import { WEEKDAYS } from './shapes'

type Days = TimeOfDayDocument['days']

/** Some weekdays, at least one. */
const props = defineProps<{ days: Days }>()
const emit = defineEmits<{ change: [days: Days] }>()

function toggle(day: (typeof WEEKDAYS)[number]) {
  const days = WEEKDAYS.filter((one) => props.days.includes(one) !== (one === day))
  if (days.length) emit('change', days)
}

const name = (day: string) => day.charAt(0) + day.slice(1).toLowerCase()
</script>

<template>
  <span class="inline-flex" role="group" aria-label="On these weekdays">
    <button
      v-for="day in WEEKDAYS"
      :key="day"
      type="button"
      class="border border-line px-1.5 py-1 text-note first:rounded-l-md last:rounded-r-md not-first:border-l-0"
      :class="days.includes(day) ? 'bg-pine text-white' : 'bg-panel'"
      :aria-pressed="days.includes(day)"
      :aria-label="name(day)"
      @click="toggle(day)"
    >
      {{ name(day).slice(0, 3) }}
    </button>
  </span>
</template>
