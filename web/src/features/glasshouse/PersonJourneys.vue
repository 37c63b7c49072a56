<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import Trouble from '@/ui/Trouble.vue'
import HappeningList from './HappeningList.vue'
import { shortMoment } from '@/ui/moments'

/** Where somebody stands in journeys and why, with what can be done about it. */
const props = defineProps<{ person: number }>()

const { data, error } = useQuery(computed(() => questions.personLive(props.person)))
const { data: live } = useQuery(questions.live())
const open = computed(() => (live.value?.journeys ?? []).filter((one) => one.since !== null))
const into = ref<number | null>(null)
const { failure, busy, attempt } = useAttempt(error)

async function told() {
  await Promise.all([outdated('live'), outdated('people')])
}

async function takeOut(journey: number) {
  await attempt(() =>
    answerOf(
      api.DELETE('/api/live/journeys/{journey}/people/{person}', {
        params: { path: { journey, person: props.person } },
      }),
    ),
  )
  await told()
}

async function putIn() {
  const journey = into.value
  if (journey === null) return
  const well = await attempt(() =>
    answerOf(
      api.POST('/api/live/journeys/{journey}/people', {
        params: { path: { journey } },
        body: { person: props.person },
      }),
    ),
  )
  if (well) into.value = null
  await told()
}
</script>

<template>
  <section v-if="data" aria-labelledby="in-journeys">
    <h3 id="in-journeys" class="px-3 pt-2.5 pb-1 font-semibold">In journeys</h3>
    <p v-if="data.stands.length === 0" class="px-3 pb-1 text-ink2">They are in none now.</p>
    <ul class="px-3">
      <li
        v-for="one in data.stands"
        :key="`${one.journey}-${one.enteredAt}`"
        class="flex items-start gap-2 border-b border-line2 py-1.5"
      >
        <span class="min-w-0 flex-1">
          <RouterLink
            class="font-semibold hover:underline"
            :to="{ name: 'workbench', params: { id: one.journey }, query: { step: one.step } }"
            >{{ one.name }}</RouterLink
          >
          · {{ one.why
          }}<span class="note block"
            >there since {{ shortMoment(one.since)
            }}<template v-if="one.until !== null">, until {{ shortMoment(one.until) }}</template
            ><template v-if="one.earlierPlan">; on the plan that they began</template></span
          >
        </span>
        <button
          type="button"
          class="button button-small"
          :disabled="busy"
          :aria-label="`Take them out of ${one.name}`"
          @click="takeOut(one.journey)"
        >
          Take out
        </button>
      </li>
    </ul>
    <form v-if="open.length" class="flex items-center gap-2 px-3 py-2" @submit.prevent="putIn">
      <label class="text-ink2" :for="`into-${person}`">Put into</label>
      <select :id="`into-${person}`" v-model="into" class="field flex-1">
        <option :value="null">an open journey…</option>
        <option v-for="one in open" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <button type="submit" class="button button-small" :disabled="busy || into === null">
        Put in
      </button>
    </form>
    <Trouble v-if="failure" class="mx-3 mb-2" :text="failure" />
    <details v-if="data.happened.length" class="px-0">
      <summary class="px-3 py-1 text-ink2">
        What happened there ({{ data.happened.length }})
      </summary>
      <HappeningList :lines="data.happened" :with-names="false" />
    </details>
  </section>
</template>
