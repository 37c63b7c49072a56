<script setup lang="ts">
import DraftSign from '@/features/workbench/DraftSign.vue'
import { computed } from 'vue'
import UndoButtons from '@/editing/UndoButtons.vue'
import { refOf } from '@/features/compare/runRefs'
import type { DryRunView, JourneyView } from '@/api/types'
import { clock, count } from '@/ui/figures'
import RunShelf from './RunShelf.vue'
import { isSamePlan, whoseRun } from './runWords'

/** Which run is shown, and what can be done with it. */
const props = defineProps<{
  journey: JourneyView
  run: DryRunView | null
  number: number
  /** Whether a run is on its way. */
  busy: boolean
  people: number
  /** What was done to the assumptions. */
  edits: InstanceType<typeof UndoButtons>['$props']['edits']
}>()
const emit = defineEmits<{
  open: [run: number]
  changed: []
  deleted: [run: number]
  repeat: [run: number]
  again: []
  report: []
}>()

const shown = computed(() => props.run?.journeys[props.number]?.run ?? null)
const others = computed(
  () => props.run?.journeys.filter((one) => one.run.journeyId !== props.journey.id) ?? [],
)
const words = computed(() => {
  const run = shown.value
  if (!run) return ''
  return [
    `${run.name ?? `${run.lived ? 'live report' : 'dry run'} ${run.id}`} of v${run.journeyVersion}, ${clock(run.madeAt)}`,
    whoseRun(run),
    `${run.horizonDays} days`,
    `${run.millis} ms`,
  ].join(' · ')
})
const outdated = computed(() => {
  const part = props.run?.journeys[props.number]
  return (
    !!part &&
    !part.run.lived &&
    part.run.journeyVersion !== props.journey.version &&
    !isSamePlan(part.journey, props.journey.journey)
  )
})
</script>

<template>
  <header class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-2">
    <div class="min-w-0 flex-1">
      <DraftSign class="float-right" :journey="journey" />
      <h1 class="truncate text-page leading-7">{{ journey.journey.name }}</h1>
      <p v-if="shown" class="note truncate">
        {{ words }}
        <template v-if="others.length">
          · together with
          <RouterLink
            v-for="one in others"
            :key="one.run.journeyId"
            class="mr-1 underline"
            :to="{ name: 'dry-run', params: { id: one.run.journeyId }, query: { run: shown.id } }"
            >{{ one.run.journeyName }}</RouterLink
          >
        </template>
        <b v-if="outdated" class="text-clay">· the journey is at v{{ journey.version }} now</b>
      </p>
    </div>
    <UndoButtons :edits="edits" />
    <RouterLink class="button" :to="{ name: 'workbench', params: { id: journey.id } }">
      Back to the run sheet
    </RouterLink>
    <RunShelf
      :journey="journey.id"
      :shown="shown?.id ?? null"
      @open="emit('open', $event)"
      @changed="emit('changed')"
      @deleted="emit('deleted', $event)"
    />
    <template v-if="shown">
      <button
        v-if="!shown.lived"
        type="button"
        class="button"
        title="Make this run again with its own settings, to see whether the figures are the same"
        :disabled="busy"
        @click="emit('repeat', shown.id)"
      >
        Repeat
      </button>
      <button type="button" class="button" @click="emit('report')">Report</button>
      <RouterLink class="button" :to="{ name: 'side-by-side', query: { runs: refOf(shown) } }">
        Put side by side
      </RouterLink>
    </template>
    <button type="button" class="button button-main" :disabled="busy" @click="emit('again')">
      {{ busy ? 'Running…' : shown && !shown.lived ? 'Run again' : `Dry run ${count(people)}` }}
    </button>
  </header>
</template>
