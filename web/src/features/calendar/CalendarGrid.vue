<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CalendarLane, CalendarView, CrowdedDay } from '@/api/types'
import {
  emailsIn,
  emailsOn,
  leafSize,
  plusDays,
  sayEmails,
  shortDay,
  type CalendarDay,
} from './days'
import { isLetter, placeOf } from './lanes'
import LaneMark from './LaneMark.vue'

/** A lane for each newsletter and journey, a column for each day; newsletters are moved here. */
const props = defineProps<{
  view: CalendarView
  days: CalendarDay[]
  chosen: string
  busy: boolean
}>()
const emit = defineEmits<{ choose: [day: string]; move: [lane: CalendarLane, day: string] }>()

/** Where days are narrow, their numbers are left out; who asks is told. */
const narrow = computed(() => props.days.length > 31)
const columns = computed(() => ({
  gridTemplateColumns: `190px repeat(${props.days.length}, minmax(0, 1fr))`,
}))
const most = computed(() =>
  Math.max(
    1,
    ...props.view.lanes
      .filter((lane) => !isLetter(lane))
      .flatMap((lane) => props.days.map((_, n) => emailsOn(lane.emails, n))),
  ),
)
const highest = computed(() =>
  Math.max(
    1,
    ...props.days.map((_, n) => (props.view.all.high[n] ?? 0) + (props.view.all.gone[n] ?? 0)),
  ),
)
const crowded = computed(
  () => new Map<string, CrowdedDay>(props.view.crowded.map((one) => [one.day, one])),
)

/** How far the bar of a day goes up, with the band of what is expected. */
function top(day: number): number {
  const { gone, mean, high } = props.view.all
  return (gone[day] ?? 0) + ((mean[day] ?? 0) >= 0.05 ? (high[day] ?? 0) : 0)
}

function height(value: number): string {
  return `${(56 * value) / highest.value}px`
}

/** Whether a newsletter that can be moved goes on a day; what follows it goes with it. */
function moves(lane: CalendarLane, day: string): boolean {
  return lane.goesOn === day
}

function says(lane: CalendarLane, day: CalendarDay, n: number): string {
  const emails = `${day.weekday} ${day.date}: ${sayEmails(lane.emails, n)}`
  return moves(lane, day.day) ? `${emails}. Left and right move it.` : emails
}

/** The newsletter that is being dragged, and the day over which it is. */
const dragged = ref<CalendarLane | null>(null)
const over = ref<string | null>(null)

function drop(day: string) {
  if (dragged.value && day > props.view.today) emit('move', dragged.value, day)
  dragged.value = null
  over.value = null
}

function onKey(event: KeyboardEvent, lane: CalendarLane, day: string) {
  const step = event.key === 'ArrowLeft' ? -1 : event.key === 'ArrowRight' ? 1 : 0
  if (!step || !moves(lane, day) || props.busy) return
  event.preventDefault()
  const to = plusDays(day, step)
  if (to > props.view.today) emit('move', lane, to)
}

function column(day: CalendarDay) {
  return {
    'bg-marigold-soft': day.day === props.view.today,
    'bg-sunk': day.weekend && day.day !== props.view.today,
    'outline-2 -outline-offset-2 outline-marigold': over.value === day.day,
  }
}
</script>

<template>
  <div
    class="panel min-h-0 overflow-auto px-3 pb-2"
    tabindex="0"
    role="group"
    aria-label="What goes out, day by day"
  >
    <div class="sticky top-0 z-10 grid bg-panel pt-2" :style="columns">
      <span />
      <button
        v-for="(day, n) in days"
        :key="day.day"
        type="button"
        class="rounded-t-md py-1 text-center leading-tight hover:bg-sunk aria-pressed:font-bold"
        :class="[column(day), { 'underline decoration-marigold decoration-2': day.day === chosen }]"
        :aria-pressed="day.day === chosen"
        :aria-label="`${day.weekday} ${day.day}`"
        @click="emit('choose', day.day)"
      >
        <template v-if="!narrow || day.weekday === 'Mon'">
          <span v-if="!narrow" class="note block">{{ day.weekday }}</span>
          <span class="font-semibold whitespace-nowrap" :class="{ 'text-tiny': narrow }">{{
            narrow ? shortDay(day.day) : day.date
          }}</span>
        </template>
        <span v-else-if="n === 0">&nbsp;</span>
      </button>
    </div>
    <div
      v-for="lane in view.lanes"
      :key="`${lane.kind} ${lane.id}`"
      class="grid border-t border-line2"
      :style="columns"
      role="group"
      :aria-label="lane.name"
    >
      <RouterLink
        class="flex min-w-0 flex-col justify-center py-2 pr-3 hover:underline"
        :to="placeOf(lane)"
      >
        <b class="truncate font-semibold">{{ lane.name }}</b>
        <span class="note truncate">{{ lane.note }}</span>
      </RouterLink>
      <div
        v-for="(day, n) in days"
        :key="day.day"
        class="relative flex h-13 flex-col items-center justify-end border-l border-line2 pb-1.5"
        :class="column(day)"
        @dragover="
          (event) => {
            if (dragged === lane) {
              event.preventDefault()
              over = day.day
            }
          }
        "
        @drop.prevent="drop(day.day)"
      >
        <span
          v-if="!isLetter(lane)"
          class="absolute inset-x-0 bottom-0 h-1.5"
          :class="lane.sure ? 'bg-vine-soft' : 'border-t border-dashed border-line'"
          aria-hidden="true"
        />
        <component
          :is="moves(lane, day.day) ? 'button' : 'span'"
          v-if="emailsOn(lane.emails, n) >= 0.05"
          :type="moves(lane, day.day) ? 'button' : undefined"
          :role="moves(lane, day.day) ? undefined : 'img'"
          class="relative flex flex-col items-center rounded-md"
          :class="{ 'cursor-grab': moves(lane, day.day) }"
          :draggable="moves(lane, day.day)"
          :title="`${lane.name}, ${says(lane, day, n)}`"
          :aria-label="says(lane, day, n)"
          @dragstart="dragged = lane"
          @dragend="drop('')"
          @keydown="onKey($event, lane, day.day)"
          @click="emit('choose', day.day)"
        >
          <span v-if="!narrow" class="figure text-tiny leading-none">{{
            emailsIn(emailsOn(lane.emails, n))
          }}</span>
          <LaneMark
            :newsletter="isLetter(lane)"
            :size="leafSize(emailsOn(lane.emails, n), most)"
            :gone="(lane.emails.gone[n] ?? 0) > 0 && (lane.emails.mean[n] ?? 0) < 0.05"
            :sure="lane.sure"
            :narrow="narrow"
          />
        </component>
      </div>
    </div>
    <div class="sticky bottom-0 grid border-t border-line bg-panel" :style="columns">
      <span class="flex flex-col justify-center py-2 pr-3">
        <b class="font-semibold">All that goes out</b>
        <span class="note">estimate with its 95% band</span>
      </span>
      <button
        v-for="(day, n) in days"
        :key="day.day"
        type="button"
        class="relative flex h-20 flex-col items-center justify-end border-l border-line2"
        :class="column(day)"
        :title="`${day.weekday} ${day.date}: ${sayEmails(view.all, n)}`"
        :aria-label="`${day.weekday} ${day.date}, all: ${sayEmails(view.all, n)}`"
        @click="emit('choose', day.day)"
      >
        <span
          v-if="!narrow"
          class="figure absolute text-tiny leading-none"
          :style="{ bottom: `calc(${height(top(n))} + 3px)` }"
          >{{ emailsIn(emailsOn(view.all, n)) }}</span
        >
        <span
          class="relative w-3/5"
          :class="crowded.has(day.day) ? 'bg-clay' : 'bg-vine'"
          :style="{ height: height(emailsOn(view.all, n)) }"
        >
          <span
            v-if="(view.all.mean[n] ?? 0) >= 0.05"
            class="absolute left-1/2 w-px bg-ink"
            :style="{
              bottom: height((view.all.gone[n] ?? 0) + (view.all.low[n] ?? 0)),
              height: height((view.all.high[n] ?? 0) - (view.all.low[n] ?? 0)),
            }"
            aria-hidden="true"
          />
        </span>
        <span v-if="crowded.has(day.day)" class="sr-only">some people get more than one email</span>
      </button>
    </div>
  </div>
</template>
