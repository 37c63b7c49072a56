<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useStorage, useWindowSize } from '@vueuse/core'
import { computed, nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, queryClient, questions } from '@/api/queries'
import type { JourneyView } from '@/api/types'
import Trellis from '@/trellis/Trellis.vue'
import { count } from '@/ui/figures'
import { useTabTitle } from '@/ui/useTabTitle'
import Trouble from '@/ui/Trouble.vue'
import CohortPanel from './CohortPanel.vue'
import RunFigures from './RunFigures.vue'
import RunHeader from './RunHeader.vue'
import RunProgressNote from './RunProgressNote.vue'
import SummaryPanel from './SummaryPanel.vue'
import { downloadReport } from './downloadReport'
import { cohortOf, draftOf, FIRST_DRAFT, type RunDraft } from './runDraft'
import { useAssumptions } from './useAssumptions'
import { usePreview } from './usePreview'
import { useOutlook } from './useOutlook'
import { useRun, type RunWish } from './useRun'
import { standingOn } from './whereabouts'

/** How much of the window's height the picture may take. */
const TRELLIS_SHARE = 0.28

const props = defineProps<{ id: number }>()
const route = useRoute()
const router = useRouter()

const journey = shallowRef<JourneyView | null>(null)
const { data: names } = useQuery(questions.names())
const others = computed(() => names.value?.filter((one) => one.id !== props.id) ?? [])
const { run, progress, failure, read, make, repeat, cancel } = useRun()
const { change: changeBehaviour, recall, edits, saved } = useAssumptions(journey, failure)
const draft = useStorage<RunDraft>(() => `run-draft-${props.id}`, FIRST_DRAFT, undefined, {
  mergeDefaults: true,
})
const selected = ref<string | null>(typeof route.query.step === 'string' ? route.query.step : null)
const path = ref<number | null>(null)
const day = ref(0)
const tab = computed({
  get: () => String(route.query.show ?? 'steps'),
  set: (show) => void router.replace({ query: { ...route.query, show } }),
})

/** The journey's part of the run that is shown. */
const number = computed(() =>
  Math.max(0, run.value?.journeys.findIndex((one) => one.run.journeyId === props.id) ?? 0),
)
const part = computed(() => run.value?.journeys[number.value] ?? null)
const runId = computed(() => part.value?.run.id ?? null)
const busy = computed(() => !!progress.value && !progress.value.said)
const lit = computed(() =>
  tab.value === 'paths' && path.value !== null
    ? (part.value?.report.paths.paths[path.value]?.steps ?? null)
    : null,
)
const standing = computed(() =>
  tab.value === 'where' && part.value ? standingOn(part.value.report.whereabouts, day.value) : null,
)
const { preview, failure: noPreview } = usePreview(
  () =>
    tab.value === 'assumptions' && part.value && !part.value.run.lived ? part.value.run : null,
  () =>
    journey.value
      ? {
          cohort: cohortOf(draft.value, journey.value.behaviour.groups),
          behaviour: journey.value.behaviour,
        }
      : null,
)

watch([() => props.id, () => route.query.run], load, { immediate: true })

async function load() {
  failure.value = null
  try {
    const params = { params: { path: { id: props.id } } }
    const loaded = await answerOf(api.GET('/api/journeys/{id}', params))
    const begins = route.query.run === 'new'
    const wanted = Number(route.query.run) || (await newestRun())
    if (wanted && wanted !== runId.value) await show(wanted)
    // Last, so that nobody types into fields that the run is still to fill.
    journey.value = loaded
    recall()
    if (begins) {
      await router.replace({ query: {} })
      await runAgain()
    }
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}

async function newestRun(): Promise<number | undefined> {
  const { pages } = await queryClient.fetchInfiniteQuery(questions.runs(props.id))
  const runs = (pages[0]?.runs ?? []).filter((one) => !one.aside)
  return runs.reduce<number | undefined>((last, one) => Math.max(last ?? 0, one.id), undefined)
}

/** A run that was never drafted here brings its own settings along; a live report has none. */
async function show(id: number) {
  await read(id)
  path.value = null
  const simulated = run.value!.journeys.every((one) => !one.run.lived)
  const unknown = !localStorage.getItem(`run-draft-${props.id}`)
  if (simulated && (unknown || Number(route.query.run))) {
    draft.value = draftOf(run.value!, props.id, draft.value)
  }
}

function wish(): RunWish | null {
  if (!journey.value) return null
  const { seed, horizonDays, cohortId, together } = draft.value
  return {
    journeys: [props.id, ...together],
    cohort: cohortOf(draft.value, journey.value.behaviour.groups),
    cohortId,
    seed,
    horizonDays,
  }
}
const outlook = useOutlook(wish)

async function runAgain() {
  await saved()
  const order = wish()
  if (!order) return
  const made = await make(order)
  if (made !== null) {
    path.value = null
    await router.replace({ query: { ...route.query, run: made } })
  }
}

const trellis = useTemplateRef<InstanceType<typeof Trellis>>('trellis')
const trellisShown = useStorage('dry-run-trellis', true)
const { height: windowHeight } = useWindowSize()
/** So that there is room for the figures, too. */
const mostHigh = computed(() => Math.max(150, windowHeight.value * TRELLIS_SHARE))

/** Goes to a row of the step table. */
async function showRow(step: string) {
  tab.value = 'steps'
  selected.value = step
  await nextTick()
  document.querySelector(`[data-line='${CSS.escape(step)}']`)?.scrollIntoView({ block: 'center' })
}

/** The report with the picture as it is on the screen, as a file of its own. */
async function report() {
  failure.value = null
  try {
    await downloadReport(runId.value!, number.value, trellis.value?.drawing ?? null)
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}

async function deleted(gone: number) {
  if (gone !== runId.value) return
  run.value = null
  await router.replace({ query: { show: tab.value } })
}

async function reread() {
  await outdated('runs')
  if (runId.value) await read(runId.value)
}

useTabTitle(() => journey.value && `${journey.value.journey.name}: dry run`)
</script>

<template>
  <main class="flex flex-col">
    <RunHeader
      v-if="journey"
      :journey="journey"
      :run="run"
      :number="number"
      :busy="busy"
      :people="draft.people"
      :edits="edits"
      @open="router.replace({ query: { ...route.query, run: $event } })"
      @changed="reread"
      @deleted="deleted"
      @repeat="repeat"
      @again="runAgain"
      @report="report"
    />
    <div v-if="failure" class="px-3 pb-2" :class="{ 'pt-4': !journey }">
      <Trouble :text="failure" />
    </div>
    <div v-if="part?.run.lived" class="px-3 pb-2">
      <p class="panel px-3 py-1.5">{{ part.run.lived }}</p>
    </div>
    <div v-if="run?.again" class="px-3 pb-2">
      <p class="panel px-3 py-1.5">{{ run.again }}</p>
    </div>
    <div v-if="progress" class="px-3 pb-2">
      <RunProgressNote :progress="progress" @cancel="cancel" @dismiss="progress = null" />
    </div>
    <div
      v-if="journey"
      class="grid min-h-0 flex-1 grid-cols-[clamp(236px,23.5vw,300px)_1fr] gap-3 px-3 pb-3"
    >
      <CohortPanel
        v-model:draft="draft"
        :behaviour="journey.behaviour"
        :triggers="journey.journey.triggers"
        :others="others"
        :outlook="outlook"
        @change="changeBehaviour"
      />
      <div v-if="run && part" class="flex min-h-0 min-w-0 flex-col gap-3">
        <SummaryPanel :report="part.report" @select="showRow" />
        <RunFigures
          v-model:tab="tab"
          v-model:path="path"
          v-model:day="day"
          v-model:selected="selected"
          :run="run"
          :number="number"
          :journey="journey"
          :preview="preview"
          :no-preview="noPreview"
          @behaviour="changeBehaviour"
          @limited="reread"
        />
        <section class="panel flex min-h-0 shrink-0 flex-col" aria-labelledby="trellis">
          <div class="panel-head min-h-7.5!">
            <h2 id="trellis">Trellis</h2>
            <span class="note">
              {{
                standing
                  ? `circles: people on day ${day}`
                  : lit
                    ? 'the chosen way is lit'
                    : 'ribbon = share of people · leaf filled = opened'
              }}
            </span>
            <button
              type="button"
              class="button button-small ml-auto"
              :aria-expanded="trellisShown"
              @click="trellisShown = !trellisShown"
            >
              {{ trellisShown ? 'Fold' : 'Show' }}
            </button>
          </div>
          <div v-show="trellisShown" class="min-h-0 p-2">
            <Trellis
              ref="trellis"
              :most="mostHigh"
              :body="part.expanded.body"
              :measures="part.report.measures"
              :sheet="part.sheet"
              :selected="selected"
              :route="lit"
              :standing="standing"
              @select="selected = $event"
            />
          </div>
        </section>
      </div>
      <section v-else class="panel grid place-content-center p-10 text-center">
        <h2 class="text-empty">No dry run yet</h2>
        <p class="mt-1 mb-4 max-w-md text-ink2">
          Look over who enters on the left, then send them through: what would happen is here in a
          moment, and nobody is mailed.
        </p>
        <button type="button" class="button button-main mx-auto" :disabled="busy" @click="runAgain">
          Dry run {{ count(draft.people) }}
        </button>
      </section>
    </div>
  </main>
</template>
