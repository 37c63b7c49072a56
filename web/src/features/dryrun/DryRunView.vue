<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import type { BehaviourDocument, DryRunView, JourneyView } from '@/api/types'
import Trellis from '@/trellis/Trellis.vue'
import { clock, count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import CohortPanel from './CohortPanel.vue'
import EmailAssumptions from './EmailAssumptions.vue'
import StepTable from './StepTable.vue'

const props = defineProps<{ id: number }>()
const route = useRoute()
const router = useRouter()

const journey = shallowRef<JourneyView | null>(null)
const run = shallowRef<DryRunView | null>(null)
const people = ref(20_000)
const seed = ref(2026)
const horizonDays = ref(60)
const selected = ref<string | null>(null)
const tab = ref<'steps' | 'assumptions'>('steps')
const running = ref(false)
const failure = ref<string | null>(null)

const outdated = computed(
  () => run.value && journey.value && run.value.run.journeyVersion !== journey.value.version,
)

watch([() => props.id, () => route.query.run], load, { immediate: true })

async function load() {
  failure.value = null
  try {
    const params = { params: { path: { id: props.id } } }
    const loaded = await answerOf(api.GET('/api/journeys/{id}', params))
    const wanted = Number(route.query.run) || (await newestRun())
    if (wanted && wanted !== run.value?.run.id) {
      show(await answerOf(api.GET('/api/dry-runs/{id}', { params: { path: { id: wanted } } })))
    }
    // Last, so that nobody types into fields that the run is still to fill.
    journey.value = loaded
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}

async function newestRun(): Promise<number | undefined> {
  const all = await answerOf(api.GET('/api/dry-runs'))
  return all.find((one) => one.journeyId === props.id)?.id
}

function show(made: DryRunView) {
  run.value = made
  people.value = made.run.people
  seed.value = made.run.seed
  horizonDays.value = made.run.horizonDays
}

async function runAgain() {
  running.value = true
  failure.value = null
  try {
    await saving
    const made = await answerOf(
      api.POST('/api/journeys/{id}/dry-runs', {
        params: { path: { id: props.id } },
        body: { people: people.value, seed: seed.value, horizonDays: horizonDays.value },
      }),
    )
    show(made)
    await router.replace({ query: { run: made.run.id } })
  } catch (reason) {
    failure.value = reasonOf(reason)
  } finally {
    running.value = false
  }
}

let saving: Promise<void> = Promise.resolve()

/** Shows a changed assumption at once and saves it; saves go one after another. */
function changeBehaviour(behaviour: BehaviourDocument) {
  if (!journey.value) return
  const before = journey.value
  journey.value = { ...before, behaviour }
  saving = saving.then(async () => {
    if (!journey.value) return
    failure.value = null
    try {
      const saved = await answerOf(
        api.PUT('/api/journeys/{id}/behaviour', {
          params: { path: { id: props.id } },
          body: { version: journey.value.behaviourVersion, behaviour },
        }),
      )
      const newest =
        journey.value.behaviour === behaviour ? saved.behaviour : journey.value.behaviour
      journey.value = { ...saved, behaviour: newest }
    } catch (reason) {
      failure.value = reasonOf(reason)
      journey.value = { ...before }
    }
  })
}

const beside = computed(() =>
  run.value ? { name: 'side-by-side', query: { runs: String(run.value.run.id) } } : null,
)
</script>

<template>
  <main class="flex flex-col">
    <header v-if="journey" class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-2">
      <h1 class="text-[22px]">{{ journey.journey.name }}</h1>
      <span v-if="run" class="note">
        dry run of v{{ run.run.journeyVersion }}, {{ clock(run.run.madeAt) }} ·
        {{ count(run.run.people) }} people · seed {{ run.run.seed }} ·
        {{ run.run.horizonDays }} days · took {{ run.run.millis }} ms
        <b v-if="outdated" class="text-clay">· the journey is at v{{ journey.version }} now</b>
      </span>
      <span class="ml-auto" />
      <RouterLink class="button" :to="{ name: 'workbench', params: { id } }">
        Back to the run sheet
      </RouterLink>
      <RouterLink v-if="beside" class="button" :to="beside">Put side by side</RouterLink>
      <button type="button" class="button button-main" :disabled="running" @click="runAgain">
        {{ running ? 'Running…' : run ? 'Run again' : `Dry run ${count(people)}` }}
      </button>
    </header>
    <div v-if="failure" class="px-3 pb-2"><Trouble :text="failure" /></div>
    <div v-if="journey" class="grid min-h-0 flex-1 grid-cols-[300px_1fr] gap-3 px-3 pb-3">
      <CohortPanel
        v-model:people="people"
        v-model:seed="seed"
        v-model:horizon-days="horizonDays"
        :behaviour="journey.behaviour"
        :triggers="journey.journey.triggers"
        @change="changeBehaviour"
      />
      <div class="flex min-h-0 min-w-0 flex-col gap-3">
        <section v-if="run" class="panel px-3.5 py-2.5 text-[13.5px]" aria-label="Summary">
          <p>
            <span
              v-for="(sentence, i) in run.summary"
              :key="i"
              :class="{ 'font-semibold': i === 0 }"
            >
              {{ sentence + ' ' }}
            </span>
          </p>
        </section>
        <section class="panel flex min-h-0 flex-[0.85] flex-col" aria-label="Figures">
          <div class="panel-head gap-2!" role="tablist" aria-label="Figures">
            <button
              v-for="name in ['steps', 'assumptions'] as const"
              :id="`tab-${name}`"
              :key="name"
              type="button"
              role="tab"
              aria-controls="figures-body"
              class="rounded-md px-2.5 py-1"
              :class="tab === name ? 'bg-pine font-semibold text-white' : 'text-ink2 hover:bg-sunk'"
              :aria-selected="tab === name"
              @click="tab = name"
            >
              {{ name === 'steps' ? 'Steps' : 'Each email’s assumptions' }}
            </button>
            <span v-if="tab === 'steps'" class="note ml-auto"
              >± is half of a 95% interval; point at a figure for its interval</span
            >
          </div>
          <div
            id="figures-body"
            role="tabpanel"
            :aria-labelledby="`tab-${tab}`"
            class="flex min-h-0 flex-col"
          >
            <EmailAssumptions
              v-if="tab === 'assumptions'"
              :behaviour="journey.behaviour"
              :sheet="journey.sheet"
              @change="changeBehaviour"
            />
            <StepTable
              v-else-if="run"
              :measures="run.measures"
              :sheet="run.sheet"
              :selected="selected"
              @select="selected = $event"
            />
            <p v-else class="p-4 text-ink2">
              No dry run yet. Look over who enters on the left, then run.
            </p>
          </div>
        </section>
        <section v-if="run" class="panel flex min-h-0 flex-1 flex-col" aria-labelledby="trellis">
          <div class="panel-head">
            <h2 id="trellis">Trellis</h2>
            <span class="note">ribbon = share of people · leaf filled = opened</span>
          </div>
          <div class="min-h-0 flex-1 p-2">
            <Trellis
              :body="run.expanded.body"
              :measures="run.measures"
              :sheet="run.sheet"
              :selected="selected"
              @select="selected = $event"
            />
          </div>
        </section>
      </div>
    </div>
  </main>
</template>
