<script setup lang="ts">
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import type { ClockOrder, ClockView } from '@/api/types'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { fullMoment, shortMoment, span } from '@/ui/moments'

/** The account's clock: what it shows, and how far it is turned on. It never goes back. */
const props = defineProps<{
  clock: ClockView
  /** Whether it is the wall's, since mail leaves this machine. */
  fixed: boolean
}>()

const STEPS = [
  { name: '1 hour', seconds: 3_600 },
  { name: '1 day', seconds: 86_400 },
  { name: '1 week', seconds: 7 * 86_400 },
]
const { failure, busy, attempt } = useAttempt()
const date = ref('')
const choosing = ref(false)
const far = computed(() => {
  const { turning, clock } = { turning: props.clock.turning, clock: props.clock }
  if (!turning) return null
  const whole = Math.max(1, turning.to - turning.from)
  return Math.min(1, Math.max(0, (clock.now - turning.from) / whole))
})

async function turn(order: Partial<ClockOrder>) {
  choosing.value = false
  await attempt(() =>
    answerOf(
      api.POST('/api/live/clock', { body: { seconds: null, to: null, toNext: null, ...order } }),
    ),
  )
  await Promise.all([outdated('live'), outdated('inbox'), outdated('people'), outdated('journeys')])
}

function done(last: { turns: number; messages: number }): string {
  const turns = last.turns === 1 ? '1 turn' : `${count(last.turns)} turns`
  const messages = last.messages === 1 ? '1 message' : `${count(last.messages)} messages`
  return `${turns}, ${messages}`
}

async function stop() {
  await attempt(() => answerOf(api.DELETE('/api/live/clock')))
  await outdated('live')
}

function turnToDate() {
  if (date.value) void turn({ to: Math.floor(new Date(date.value).getTime() / 1000) })
}
</script>

<template>
  <section class="panel flex flex-wrap items-center gap-x-4 gap-y-2 px-3 py-2" aria-label="Clock">
    <svg viewBox="0 0 24 24" class="size-6 shrink-0 text-pine" aria-hidden="true">
      <circle cx="12" cy="12" r="9.5" fill="none" stroke="currentColor" stroke-width="1.6" />
      <path d="M12 6.5V12l3.5 2.5" fill="none" stroke="currentColor" stroke-width="1.6" />
    </svg>
    <b class="font-display text-lead">{{ fullMoment(clock.now) }}</b>
    <span v-if="!clock.turning" class="text-ink2"
      >{{ clock.turnedOn > 0 ? `${span(clock.turnedOn)} ahead of the wall clock` : 'as on the wall'
      }}<span v-if="clock.last" class="note block" role="status"
        >last turned on by {{ span(clock.last.seconds) }}: {{ done(clock.last) }}</span
      ></span
    >
    <div v-if="clock.turning" class="ml-auto flex items-center gap-3" aria-live="polite">
      <span
        >Turning to {{ shortMoment(clock.turning.to) }}: {{ count(clock.turning.turns) }} turns,
        {{ count(clock.turning.messages) }} messages</span
      >
      <span
        class="h-2 w-32 overflow-hidden rounded-full bg-line"
        role="progressbar"
        aria-label="How far the clock has been turned"
        :aria-valuenow="Math.round((far ?? 0) * 100)"
        aria-valuemin="0"
        aria-valuemax="100"
        ><span class="block h-full bg-vine" :style="{ width: `${(far ?? 0) * 100}%` }"
      /></span>
      <button type="button" class="button button-small" @click="stop">Stop here</button>
    </div>
    <span v-else-if="fixed" class="ml-auto text-ink2"
      >It cannot be turned, since mail leaves this machine.</span
    >
    <div v-else class="ml-auto flex flex-wrap items-center gap-2">
      <span id="turn-on" class="text-ink2">Turn on by</span>
      <span class="inline-flex" role="group" aria-labelledby="turn-on">
        <button
          v-for="step in STEPS"
          :key="step.seconds"
          type="button"
          class="border border-line bg-panel px-2.5 py-1 whitespace-nowrap not-first:border-l-0 first:rounded-l-md last:rounded-r-md hover:bg-sunk"
          :disabled="busy"
          @click="turn({ seconds: step.seconds })"
        >
          {{ step.name }}
        </button>
      </span>
      <button
        type="button"
        class="button button-small"
        :disabled="busy || clock.next === null"
        @click="turn({ toNext: true })"
      >
        {{
          clock.next === null
            ? 'nothing is due'
            : `to the next thing, ${shortMoment(Math.max(clock.next, clock.now))}`
        }}
      </button>
      <button
        type="button"
        class="button button-small"
        :aria-expanded="choosing"
        @click="choosing = !choosing"
      >
        to a date…
      </button>
    </div>
    <form
      v-if="choosing && !clock.turning"
      class="flex basis-full items-center justify-end gap-2 border-t border-line2 pt-2"
      @submit.prevent="turnToDate"
    >
      <label for="clock-date">Turn on to</label>
      <input id="clock-date" v-model="date" class="field w-56!" type="datetime-local" required />
      <button type="submit" class="button button-small button-main" :disabled="busy">
        Turn it on
      </button>
    </form>
    <Trouble v-if="clock.failure && !failure" class="basis-full" :text="clock.failure" />
    <Trouble v-if="failure" class="basis-full" :text="failure" />
  </section>
</template>
