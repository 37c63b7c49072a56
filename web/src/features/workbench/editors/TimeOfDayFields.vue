<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import type { TimeOfDayDocument } from '@/api/types'
import WeekdayButtons from './WeekdayButtons.vue'

/** A local time, on some or all weekdays. */
const props = defineProps<{ moment: TimeOfDayDocument }>()
const emit = defineEmits<{ change: [moment: TimeOfDayDocument] }>()

function setTime(event: Event) {
  const time = (event.target as HTMLInputElement).value
  if (time) emit('change', { ...props.moment, time })
}
</script>

<template>
  <span class="inline-flex flex-wrap items-center gap-2">
    <DraftInput
      type="time"
      class="field figure w-28!"
      :value="moment.time"
      aria-label="Local time"
      @change="setTime"
    />
    <WeekdayButtons :days="moment.days" @change="emit('change', { ...moment, days: $event })" />
  </span>
</template>
