<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import type { TimeOfDayDocument, WaitStep } from '@/api/types'
import AmountFields from './AmountFields.vue'

const props = defineProps<{ step: WaitStep }>()
const emit = defineEmits<{ change: [step: WaitStep] }>()

const WEEKDAYS = [
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
  'SUNDAY',
] as const

function toggleAmount(on: boolean) {
  emit('change', {
    ...props.step,
    amount: on ? { count: 1, unit: 'DAYS' } : null,
    until: on ? props.step.until : (props.step.until ?? nine()),
  })
}

function toggleUntil(on: boolean) {
  emit('change', {
    ...props.step,
    until: on ? nine() : null,
    amount: on ? props.step.amount : (props.step.amount ?? { count: 1, unit: 'DAYS' }),
  })
}

function nine(): TimeOfDayDocument {
  return { time: '09:00', days: [...WEEKDAYS] }
}

function setTime(event: Event) {
  const time = (event.target as HTMLInputElement).value
  if (props.step.until && time)
    emit('change', { ...props.step, until: { ...props.step.until, time } })
}

function toggleDay(day: (typeof WEEKDAYS)[number]) {
  const until = props.step.until
  if (!until) return
  const days = WEEKDAYS.filter((one) => until.days.includes(one) !== (one === day))
  if (days.length) emit('change', { ...props.step, until: { ...until, days } })
}
</script>

<template>
  <div class="flex flex-col gap-3">
    <div class="flex items-center gap-3">
      <label class="flex w-36 items-center gap-2">
        <input
          type="checkbox"
          :checked="step.amount !== null"
          @change="toggleAmount(($event.target as HTMLInputElement).checked)"
        />
        for an amount
      </label>
      <AmountFields
        v-if="step.amount"
        :amount="step.amount"
        label="Wait"
        @change="emit('change', { ...step, amount: $event })"
      />
    </div>
    <div class="flex flex-wrap items-center gap-3">
      <label class="flex w-36 items-center gap-2">
        <input
          type="checkbox"
          :checked="step.until !== null"
          @change="toggleUntil(($event.target as HTMLInputElement).checked)"
        />
        {{ step.amount ? 'then until a time' : 'until a time' }}
      </label>
      <template v-if="step.until">
        <DraftInput
          type="time"
          class="field figure w-28!"
          :value="step.until.time"
          aria-label="Local time"
          @change="setTime"
        />
        <span class="inline-flex" role="group" aria-label="On these weekdays">
          <button
            v-for="day in WEEKDAYS"
            :key="day"
            type="button"
            class="border border-line px-1.5 py-1 text-[12px] first:rounded-l-md last:rounded-r-md not-first:border-l-0"
            :class="step.until.days.includes(day) ? 'bg-pine text-white' : 'bg-panel'"
            :aria-pressed="step.until.days.includes(day)"
            :aria-label="day.charAt(0) + day.slice(1).toLowerCase()"
            @click="toggleDay(day)"
          >
            {{ day.charAt(0) + day.slice(1, 3).toLowerCase() }}
          </button>
        </span>
      </template>
    </div>
    <p class="note">
      Days and weeks keep the time on each person’s own clock; minutes and hours are exact.
    </p>
  </div>
</template>
