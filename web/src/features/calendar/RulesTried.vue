<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { type CalendarAsked, outdated, questions } from '@/api/queries'
import type { TriedRule } from '@/api/types'
import { useForm } from '@/api/useForm'
import { emailsIn } from './days'

/** What rules of journeys would do for those who get too much on a day, tried on the same people. */
const props = defineProps<{ asked: CalendarAsked; day: string }>()

const router = useRouter()
const { data: tried, error } = useQuery(
  computed(() => questions.calendarRules(props.asked, props.day)),
)
const helping = computed(() => tried.value?.filter((one) => one.helps) ?? [])
const { told, busy, send } = useForm()

/** The journey keeps it as a change that is still to be put into effect. */
async function take(one: TriedRule) {
  await send(async () => {
    await answerOf(
      api.PUT('/api/calendar/journeys/{id}/rule', {
        params: { path: { id: one.journey } },
        body: { rule: one.rule, day: props.day },
      }),
    )
    await outdated('journeys')
    await router.push({
      name: 'workbench',
      params: { id: one.journey },
      query: { step: 'journey' },
    })
  })
}
</script>

<template>
  <div class="mt-1 grid gap-1 border-l-2 border-line pl-2" aria-live="polite">
    <p v-if="error" class="note text-clay!">{{ reasonOf(error) }}</p>
    <p v-else-if="!tried" class="note">Trying them on those who are inside …</p>
    <p v-else-if="!tried.length" class="note">
      No journey sends to them that could keep a rule: newsletters alone meet.
    </p>
    <p v-else-if="!helping.length" class="note">
      Rules of journeys hardly change it:
      {{ emailsIn(Math.min(...tried.map((one) => one.then))) }} people get more than one email then,
      and {{ emailsIn(tried[0]!.now) }} without them.
    </p>
    <p v-for="one in helping" :key="`${one.journey} ${one.rule}`">
      {{ one.sentence }}
      <button
        type="button"
        class="button button-small ml-1 py-0.5!"
        :disabled="busy"
        @click="take(one)"
      >
        Change the journey so
      </button>
    </p>
    <p v-if="told" class="note text-clay!" role="alert">{{ told }}</p>
  </div>
</template>
