<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import type { DryRunSummary, JourneyDocument, JourneyView, RunMeasures } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import JourneyRow from './JourneyRow.vue'
import NewJourney from './NewJourney.vue'

const router = useRouter()
const journeys = shallowRef<JourneyView[] | null>(null)
const runs = shallowRef<Map<number, DryRunSummary>>(new Map())
const estimates = shallowRef<Map<number, RunMeasures>>(new Map())
const failure = ref<string | null>(null)
const adding = ref(false)

onMounted(async () => {
  try {
    const [all, newest] = await Promise.all([
      answerOf(api.GET('/api/journeys')),
      answerOf(api.GET('/api/dry-runs')),
    ])
    journeys.value = all
    runs.value = new Map(newest.toReversed().map((run) => [run.journeyId, run]))
    for (const { id } of all) void estimate(id)
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
})

/** The thumbnails' measures; a journey without one keeps its plain picture. */
async function estimate(id: number) {
  const measures = await answerOf(
    api.POST('/api/journeys/{id}/estimates', { params: { path: { id } } }),
  ).catch(() => null)
  if (measures) estimates.value = new Map(estimates.value).set(id, measures)
}

async function add(name: string, purpose: JourneyDocument['purpose']) {
  failure.value = null
  try {
    const added = await answerOf(api.POST('/api/journeys', { body: { name, purpose } }))
    await router.push({ name: 'workbench', params: { id: added.id } })
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}
</script>

<template>
  <main class="flex flex-col overflow-y-auto px-4 pb-4">
    <header class="flex items-center gap-3 pt-3 pb-2.5">
      <h1 class="text-[22px]">Journeys</h1>
      <span class="note"
        >what happens to people after they join, buy or leave something behind</span
      >
      <button
        type="button"
        class="button button-main ml-auto"
        :aria-expanded="adding"
        @click="adding = !adding"
      >
        New journey
      </button>
    </header>
    <Trouble v-if="failure" class="mb-3" :text="failure" />
    <NewJourney v-if="adding" class="mb-3" @add="add" @cancel="adding = false" />
    <section v-if="journeys?.length" class="panel" aria-label="All journeys">
      <ul>
        <JourneyRow
          v-for="journey in journeys"
          :key="journey.id"
          :journey="journey"
          :run="runs.get(journey.id) ?? null"
          :estimate="estimates.get(journey.id) ?? null"
        />
      </ul>
    </section>
    <section v-else-if="journeys && !adding" class="panel p-10 text-center">
      <h2 class="text-[17px]">No journeys yet</h2>
      <p class="mt-1 mb-4 text-ink2">
        Begin with the one you have on paper: who comes in, what they get, and when.
      </p>
      <button type="button" class="button button-main" @click="adding = true">
        Plan the first journey
      </button>
    </section>
  </main>
</template>
