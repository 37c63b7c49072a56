<script setup lang="ts">
import { computed, ref } from 'vue'
import type { CalendarView } from '@/api/types'
import type { CalendarAsked } from '@/api/queries'
import { emailsIn, longDay } from './days'
import RulesTried from './RulesTried.vue'

/** Who gets too much, of which emails, and what would mend it. */
const props = defineProps<{ view: CalendarView; asked: CalendarAsked; busy: boolean }>()
const emit = defineEmits<{ move: [newsletter: number, to: string]; choose: [day: string] }>()

const SHOWN = 4
const days = computed(() =>
  [...props.view.crowded].sort((a, b) => b.people.mean - a.people.mean).slice(0, SHOWN),
)

/** The day for which rules of journeys are tried. */
const trying = ref<string | null>(null)

function people(value: number): string {
  return value === 1 ? '1 person gets' : `${emailsIn(value)} people get`
}
</script>

<template>
  <section
    class="panel flex min-h-0 flex-col gap-2 overflow-y-auto p-3"
    tabindex="0"
    aria-labelledby="too-much"
  >
    <h2 id="too-much"><b>Too much for somebody</b></h2>
    <p v-if="!view.crowded.length && !view.weeks.length" class="text-ink2">
      Nobody gets more than one email on a day.
    </p>
    <ul class="grid grid-cols-[minmax(0,1fr)] gap-1.5">
      <li v-for="one in days" :key="one.day">
        <b class="text-clay">{{ people(Math.round(one.people.mean)) }}</b> more than one email on
        <button type="button" class="underline" @click="emit('choose', one.day)">
          {{ longDay(one.day) }}
        </button>
        <span class="note">
          ({{ Math.floor(one.people.low) }} to {{ Math.ceil(one.people.high) }})</span
        >
        <span
          v-for="meet in one.meetings.slice(0, 1)"
          :key="meet.one + meet.other"
          class="note block"
        >
          {{ meet.one === meet.other ? `${meet.one} twice` : `${meet.one} and ${meet.other}` }}:
          {{ emailsIn(meet.people) }}
        </span>
        <button
          v-if="one.mend"
          type="button"
          class="button button-small mt-0.5 py-0.5! text-left whitespace-normal!"
          :disabled="busy"
          @click="emit('move', one.mend.newsletter, one.mend.to)"
        >
          {{ one.mend.sentence }}
        </button>
        <RulesTried v-if="trying === one.day" :asked="asked" :day="one.day" />
        <button
          v-else
          type="button"
          class="button button-small mt-0.5 ml-1 py-0.5!"
          @click="trying = one.day"
        >
          Try rules on them
        </button>
      </li>
      <li v-for="week in view.weeks" :key="week.monday">
        <b class="text-clay">{{ people(Math.round(week.people.mean)) }}</b> more than
        {{ week.enough }} emails in the week of {{ longDay(week.monday) }}
        <RouterLink class="underline" :to="{ name: 'account', hash: '#pressure' }"
          >Say what becomes of them</RouterLink
        >
      </li>
    </ul>
    <ul class="note grid gap-0.5">
      <li v-for="line in view.says" :key="line">{{ line }}</li>
      <li v-for="one in view.quota" :key="one.month">{{ one.sentence }}</li>
    </ul>
  </section>
</template>
