<script setup lang="ts">
import { useEventListener, watchDebounced } from '@vueuse/core'
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'
import type { Share } from '@/api/types'
import { count, margin } from '@/ui/figures'
import UndoButtons from '@/editing/UndoButtons.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import Trouble from '@/ui/Trouble.vue'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import KeyHelp from './KeyHelp.vue'
import RunSheetPanel from './RunSheetPanel.vue'
import SaveConflict from './SaveConflict.vue'
import SaveNote from './SaveNote.vue'
import StateBar from './StateBar.vue'
import StepPanel from './StepPanel.vue'
import TrellisPanel from './TrellisPanel.vue'
import { useEstimate } from './useEstimate'

const props = defineProps<{ id: number }>()

const store = useJourneyStore()
const router = useRouter()
const route = useRoute()
const selection = useSelection()
const { view, journey, save, loadFailure } = storeToRefs(store)
const { selected } = storeToRefs(selection)
const { estimate, noEstimate, estimateAgain } = useEstimate()
/** How far off a share may be at most: the widest interval there is. */
const error = computed(() => {
  const reaches = estimate.value?.steps.map((step) => step.reach) ?? []
  const width = (share: Share) => (share.high ?? 0) - (share.low ?? 0)
  const widest = reaches.toSorted((a, b) => width(b) - width(a))[0]
  return widest ? margin(widest) : ''
})
const help = ref(false)

watch(
  () => props.id,
  (id) => {
    if (view.value?.id !== id || route.query.step) {
      selection.select(typeof route.query.step === 'string' ? route.query.step : null)
    }
    void store.open(id)
  },
  { immediate: true },
)
/* The address names the chosen step, so that a reload comes back to it: after it has been shown. */
let leaving = false
onBeforeRouteLeave(() => void (leaving = true))
watchDebounced(
  selected,
  (step) => {
    if (!leaving) void router.replace({ query: step ? { step } : {} })
  },
  { debounce: 100 },
)

/** Goes where dry runs are made, and begins one there. */
function dryRun() {
  void router.push({ name: 'dry-run', params: { id: props.id }, query: { run: 'new' } })
}

/* Leaving while something is not saved asks first. */
useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
  if (save.value.status !== 'saved') event.preventDefault()
})

useTabTitle(() => journey.value?.name)
</script>

<template>
  <main class="flex flex-col">
    <Trouble v-if="loadFailure" class="m-4" :text="loadFailure" />
    <!-- Not what was open before: it would only flash up. -->
    <template v-if="journey && view && view.id === id">
      <header class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-2">
        <h1 class="text-page">{{ journey.name }}</h1>
        <span class="chip">{{ journey.purpose.toLowerCase().replace('_', '-') }}</span>
        <SaveNote class="ml-auto" />
        <UndoButtons :edits="store" />
        <RouterLink class="button" :to="{ name: 'walk', params: { id } }"
          >Walk one person</RouterLink
        >
        <RouterLink class="button" :to="{ name: 'tryout', params: { id } }"
          >Try it on yourself</RouterLink
        >
        <RouterLink class="button" :to="{ name: 'dry-run', params: { id } }"
          >Set up dry run</RouterLink
        >
        <button
          type="button"
          class="button button-main"
          :disabled="save.status !== 'saved' || journey.body.length === 0"
          @click="dryRun"
        >
          Dry run
        </button>
      </header>
      <StateBar />
      <div v-if="save.status === 'refused'" class="flex items-center gap-2 px-3 pb-2">
        <Trouble
          class="flex-1"
          :text="`Not saved: ${save.reason} Nothing is lost; change it or undo.`"
        />
        <button type="button" class="button" @click="store.saveAgain">Save again</button>
      </div>
      <SaveConflict v-if="save.status === 'lost'" :problem="save.problem" />
      <div
        class="grid min-h-0 flex-1 grid-cols-[minmax(390px,31%)_1fr] grid-rows-[minmax(0,1.25fr)_minmax(0,1fr)] gap-3 px-3 pb-3"
      >
        <RunSheetPanel class="row-span-2" @help="help = !help" />
        <KeyHelp v-if="help" class="row-span-2" @close="help = false" />
        <TrellisPanel v-if="!help" :measures="estimate">
          <template #note>
            <span v-if="noEstimate" class="flex min-w-0 items-center gap-2 text-clay" role="alert">
              <span class="truncate" :title="noEstimate">No estimate: {{ noEstimate }}</span>
              <button type="button" class="button button-small" @click="estimateAgain">
                Try again
              </button>
            </span>
            <span v-else class="note">
              ribbon = share of people · leaf filled = opened
              <template v-if="estimate && journey.body.length"
                >· estimate, {{ count(estimate.people) }} people{{
                  error ? `, ${error}` : ''
                }}</template
              >
            </span>
          </template>
        </TrellisPanel>
        <StepPanel v-if="!help" class="min-w-0" />
      </div>
    </template>
  </main>
</template>
