<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import type { DryRunSummary, JourneyDocument, JourneyView, RunMeasures } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import ImportPanel from './ImportPanel.vue'
import JourneyRow from './JourneyRow.vue'
import NewJourney from './NewJourney.vue'

const router = useRouter()
const journeys = shallowRef<JourneyView[] | null>(null)
const runs = shallowRef<Map<number, DryRunSummary>>(new Map())
const estimates = shallowRef<Map<number, RunMeasures>>(new Map())
const failure = ref<string | null>(null)
const adding = ref<'new' | 'import' | null>(null)
const wanted = ref('')
const showArchived = ref(false)

const matching = computed(() => {
  const words = wanted.value.toLowerCase().split(/\s+/).filter(Boolean)
  return (journeys.value ?? []).filter((one) => {
    const { name, purpose, state } = one.journey
    const said = one.sheet.opening.sentence.spans.map((span) => span.text).join('')
    const text = `${name} ${purpose.replace('_', '-')} ${state} ${said}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
const current = computed(() => matching.value.filter((one) => !one.archived))
const archived = computed(() => matching.value.filter((one) => one.archived))

onMounted(load)

async function load() {
  try {
    const [all, newest] = await Promise.all([
      answerOf(api.GET('/api/journeys')),
      answerOf(api.GET('/api/dry-runs')),
    ])
    journeys.value = all
    const byAge = newest.toSorted((a, b) => a.id - b.id)
    runs.value = new Map(byAge.map((run) => [run.journeyId, run]))
    for (const { id } of all) void estimate(id)
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}

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
    await open(added.id)
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}

async function open(id: number) {
  await router.push({ name: 'workbench', params: { id } })
}

async function attempt(work: () => Promise<unknown>) {
  failure.value = null
  try {
    await work()
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}

const begin = (id: string) =>
  attempt(async () => {
    const begun = await answerOf(
      api.POST('/api/starters/{id}/journeys', { params: { path: { id } } }),
    )
    await open(begun.id)
  })

const duplicate = (id: number) =>
  attempt(async () => {
    await answerOf(api.POST('/api/journeys/{id}/copies', { params: { path: { id } } }))
    await load()
  })

const archive = (id: number, away: boolean) =>
  attempt(async () => {
    const request = { params: { path: { id } } }
    await answerOf(
      away
        ? api.PUT('/api/journeys/{id}/archived', request)
        : api.DELETE('/api/journeys/{id}/archived', request),
    )
    await load()
  })
</script>

<template>
  <main class="flex flex-col overflow-y-auto px-4 pb-4">
    <header class="flex items-center gap-3 pt-3 pb-2.5">
      <h1 class="text-[22px]">Journeys</h1>
      <span class="note"
        >what happens to people after they join, buy or leave something behind</span
      >
      <input
        v-model="wanted"
        type="search"
        class="field ml-auto w-56!"
        aria-label="Find journeys"
        placeholder="Find by name, purpose, trigger"
      />
      <button
        type="button"
        class="button"
        :aria-expanded="adding === 'import'"
        @click="adding = adding === 'import' ? null : 'import'"
      >
        Import
      </button>
      <button
        type="button"
        class="button button-main"
        :aria-expanded="adding === 'new'"
        @click="adding = adding === 'new' ? null : 'new'"
      >
        New journey
      </button>
    </header>
    <Trouble v-if="failure" class="mb-3" :text="failure" />
    <NewJourney
      v-if="adding === 'new'"
      class="mb-3"
      @add="add"
      @begin="begin"
      @cancel="adding = null"
    />
    <ImportPanel v-if="adding === 'import'" class="mb-3" @done="open" @cancel="adding = null" />
    <section v-if="journeys?.some((one) => !one.archived)" class="panel" aria-label="All journeys">
      <p v-if="current.length === 0" class="p-4 text-ink2">No journey fits “{{ wanted }}”.</p>
      <ul>
        <JourneyRow
          v-for="journey in current"
          :key="journey.id"
          :journey="journey"
          :run="runs.get(journey.id) ?? null"
          :estimate="estimates.get(journey.id) ?? null"
          @duplicate="duplicate(journey.id)"
          @archive="archive(journey.id, true)"
        />
      </ul>
    </section>
    <section v-else-if="journeys && !adding" class="panel p-10 text-center">
      <h2 class="text-[17px]">No journeys yet</h2>
      <p class="mt-1 mb-4 text-ink2">
        Begin with the one you have on paper: who comes in, what they get, and when.
      </p>
      <button type="button" class="button button-main" @click="adding = 'new'">
        Plan the first journey
      </button>
    </section>
    <section v-if="archived.length" class="mt-3" aria-label="Archived journeys">
      <button
        type="button"
        class="button button-small"
        :aria-expanded="showArchived"
        @click="showArchived = !showArchived"
      >
        {{ showArchived ? 'Hide' : 'Show' }} {{ archived.length }} archived
      </button>
      <ul v-if="showArchived" class="panel mt-2">
        <li
          v-for="one in archived"
          :key="one.id"
          class="flex items-center gap-3 border-b border-line2 px-4 py-2 last:border-0"
        >
          <b>{{ one.journey.name }}</b>
          <span class="chip">{{ one.journey.state.toLowerCase() }}</span>
          <button type="button" class="button button-small ml-auto" @click="archive(one.id, false)">
            Bring back
          </button>
        </li>
      </ul>
    </section>
  </main>
</template>
