<script setup lang="ts">
import { whoseRun } from '@/features/dryrun/runWords'
import type { DryRunSummary } from '@/api/types'
import { newestOfEachPurpose, refOf } from './runRefs'

/** What to do before two runs are chosen. */
defineProps<{ runs: DryRunSummary[]; chosen: string[] }>()
const emit = defineEmits<{ toggle: [run: string]; all: [] }>()
</script>

<template>
  <section class="panel m-3 overflow-y-auto p-10 text-center">
    <h2 class="text-empty">
      {{ chosen.length === 1 ? 'One run is chosen' : 'Choose two runs or more' }}
    </h2>
    <p class="mx-auto mt-1 mb-4 max-w-lg text-ink2">
      {{
        runs.length === 0
          ? 'There are no dry runs yet. Open a journey and send a simulated cohort through it.'
          : 'Runs of the same people (same lot number and cohort) are compared person by person; others by their totals.'
      }}
    </p>
    <p v-if="newestOfEachPurpose(runs).length > 1" class="mb-4">
      <button type="button" class="button button-main" @click="emit('all')">
        The newest of each purpose side by side
      </button>
    </p>
    <ul class="mx-auto inline-flex flex-col items-stretch gap-1.5 text-left">
      <li v-for="run in runs.slice(0, 8)" :key="refOf(run)">
        <button
          type="button"
          class="button w-full justify-start! font-medium!"
          :class="{ 'border-marigold! bg-marigold-soft!': chosen.includes(refOf(run)) }"
          :aria-pressed="chosen.includes(refOf(run))"
          @click="emit('toggle', refOf(run))"
        >
          {{ run.journeyName }} v{{ run.journeyVersion }} · {{ whoseRun(run) }} ·
          {{ run.name ?? `run ${run.id}` }}
        </button>
      </li>
    </ul>
  </section>
</template>
