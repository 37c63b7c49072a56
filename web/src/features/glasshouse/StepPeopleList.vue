<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { shortMoment } from '@/ui/moments'

/** Who stands at a step of a journey now. */
const props = defineProps<{ journey: number; step: string; name: string }>()

const { data: live } = useQuery(questions.live())
const others = computed(
  () => live.value?.journeys.filter((one) => one.since !== null && one.id !== props.journey) ?? [],
)
const { data, error } = useQuery(computed(() => questions.stepPeople(props.journey, props.step)))
const { failure, busy, attempt } = useAttempt(error)

const pathOf = (person: number) => ({ params: { path: { journey: props.journey, person } } })

async function act(work: () => Promise<unknown>) {
  await attempt(work)
  await Promise.all([outdated('live'), outdated('people')])
}

const takeOut = (person: number) =>
  act(() => answerOf(api.DELETE('/api/live/journeys/{journey}/people/{person}', pathOf(person))))

const putForward = (person: number) =>
  act(() =>
    answerOf(
      api.POST('/api/live/journeys/{journey}/people/{person}/forward', {
        ...pathOf(person),
        body: { from: props.step },
      }),
    ),
  )

function move(person: number, event: Event) {
  const select = event.target as HTMLSelectElement
  const into = Number(select.value)
  select.value = ''
  void act(() =>
    answerOf(
      api.POST('/api/live/journeys/{journey}/people/{person}/move', {
        ...pathOf(person),
        body: { into },
      }),
    ),
  )
}
</script>

<template>
  <section :aria-label="`Who stands at ${name}`" tabindex="0">
    <h3 class="px-3 pt-2 font-semibold">
      {{ name }}: {{ data ? count(data.total) : '…' }} {{ data?.total === 1 ? 'person' : 'people' }}
    </h3>
    <Trouble v-if="failure" class="m-3" :text="failure" />
    <ul v-if="data" class="px-3 pb-2">
      <li
        v-for="one in data.people"
        :key="one.person"
        class="flex items-center gap-3 border-b border-line2 py-1 last:border-0"
      >
        <RouterLink
          class="min-w-40 hover:underline"
          :to="{ name: 'people', query: { person: one.person } }"
          >{{ one.who }}</RouterLink
        >
        <span class="text-note text-ink2"
          >since {{ shortMoment(one.since)
          }}<template v-if="one.until !== null"
            >, until {{ shortMoment(one.until) }}</template
          ></span
        >
        <button
          type="button"
          class="button button-small ml-auto"
          :disabled="busy"
          :aria-label="`Send ${one.who} on`"
          title="As if the time were over; a message that may not go out yet still waits"
          @click="putForward(one.person)"
        >
          Send on
        </button>
        <select
          v-if="others.length"
          class="field min-h-6! w-36! py-0!"
          :disabled="busy"
          :aria-label="`Move ${one.who} into another journey`"
          @change="move(one.person, $event)"
        >
          <option value="">move into…</option>
          <option v-for="other in others" :key="other.id" :value="other.id">
            {{ other.name }}
          </option>
        </select>
        <button
          type="button"
          class="button button-small"
          :disabled="busy"
          :aria-label="`Take ${one.who} out`"
          @click="takeOut(one.person)"
        >
          Take out
        </button>
      </li>
    </ul>
    <p v-if="data && data.total > data.people.length" class="px-3 pb-2 text-note text-ink2">
      The {{ data.people.length }} who have stood there longest.
    </p>
  </section>
</template>
