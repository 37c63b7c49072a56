<script setup lang="ts">
import { computed } from 'vue'
import type { ArrivalPlan } from '@/api/types'
import DraftInput from '@/ui/DraftInput.vue'

/** When people come: at once, evenly, so many a day with the week's rhythm, or on dates. */
const props = defineProps<{ plan: ArrivalPlan }>()
const emit = defineEmits<{ change: [plan: ArrivalPlan] }>()

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const KINDS = [
  { kind: 'atOnce', name: 'all at once' },
  { kind: 'evenly', name: 'evenly over days' },
  { kind: 'daily', name: 'so many a day' },
  { kind: 'onDates', name: 'on some dates' },
] as const

function nextMonday(): string {
  const date = new Date()
  date.setUTCDate(date.getUTCDate() + 7 - ((date.getUTCDay() + 6) % 7))
  return date.toISOString().slice(0, 10)
}

function become(kind: string) {
  if (kind === 'atOnce') emit('change', { kind, at: '09:00' })
  if (kind === 'evenly') emit('change', { kind, days: 7 })
  if (kind === 'daily') emit('change', { kind, perDay: 500, weekdays: [1, 1, 1, 1, 1, 1, 1] })
  if (kind === 'onDates') emit('change', { kind, dates: [{ date: nextMonday(), weight: 1 }] })
}

const dates = computed(() =>
  props.plan.kind === 'onDates' ? props.plan.dates.map((one) => one.date).join(', ') : '',
)

function setDates(text: string) {
  const found = [...text.matchAll(/\d{4}-\d{2}-\d{2}/g)].map((match) => match[0])
  const sorted = [...new Set(found)].sort()
  if (sorted.length) {
    emit('change', { kind: 'onDates', dates: sorted.map((date) => ({ date, weight: 1 })) })
  }
}

const value = (event: Event) => (event.target as HTMLInputElement).valueAsNumber
</script>

<template>
  <div class="col-span-2 grid grid-cols-[1fr_auto] items-center gap-x-2 gap-y-1.5">
    <label class="contents">
      <span>They come</span>
      <select
        class="field min-h-6.5! w-36!"
        :value="plan.kind"
        @change="become(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="one in KINDS" :key="one.kind" :value="one.kind">{{ one.name }}</option>
      </select>
    </label>
    <label v-if="plan.kind === 'atOnce'" class="contents">
      <span>At, local time</span>
      <input
        type="time"
        class="field figure min-h-6.5! w-28! justify-self-end"
        :value="plan.at.slice(0, 5)"
        @change="
          emit('change', {
            kind: 'atOnce',
            at: ($event.target as HTMLInputElement).value || '09:00',
          })
        "
      />
    </label>
    <label v-if="plan.kind === 'evenly'" class="contents">
      <span>Over, days</span>
      <DraftInput
        type="number"
        min="1"
        max="366"
        class="field figure min-h-6.5! w-28! justify-self-end text-right"
        :value="plan.days"
        @change="
          value($event) >= 1 && emit('change', { kind: 'evenly', days: Math.round(value($event)) })
        "
      />
    </label>
    <template v-if="plan.kind === 'daily'">
      <label class="contents">
        <span>A day, on average</span>
        <DraftInput
          type="number"
          min="1"
          class="field figure min-h-6.5! w-28! justify-self-end text-right"
          :value="plan.perDay"
          @change="value($event) >= 1 && emit('change', { ...plan, perDay: value($event) })"
        />
      </label>
      <fieldset class="col-span-2">
        <legend class="note">The week’s rhythm: how many come, against the other days</legend>
        <div class="mt-1 grid grid-cols-7 gap-1">
          <label v-for="(name, i) in DAYS" :key="name" class="text-center text-tiny text-ink2">
            {{ name }}
            <DraftInput
              type="number"
              min="0"
              step="any"
              class="field figure min-h-6.5! px-1! text-center text-note"
              :value="plan.weekdays[i]"
              @change="
                value($event) >= 0 &&
                emit('change', { ...plan, weekdays: plan.weekdays.with(i, value($event)) })
              "
            />
          </label>
        </div>
      </fieldset>
    </template>
    <label v-if="plan.kind === 'onDates'" class="col-span-2">
      <span class="label">Dates, with commas between</span>
      <DraftInput
        class="field figure"
        :value="dates"
        @change="setDates(($event.target as HTMLInputElement).value)"
      />
    </label>
  </div>
</template>
