<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import type { DryRunSummary } from '@/api/types'
import { clock, day, percent } from '@/ui/figures'
import { whoseRun } from '@/features/dryrun/runWords'
import MoreButton from '@/ui/MoreButton.vue'
import { refOf } from './runRefs'

/** Runs to choose from, the newest first; more are fetched as one gets to the end. */
defineProps<{ runs: DryRunSummary[]; total: number; busy: boolean; chosen: string[] }>()
const emit = defineEmits<{ toggle: [run: string]; more: [] }>()
</script>

<template>
  <Popover class="relative">
    <PopoverButton class="button">Choose runs</PopoverButton>
    <PopoverPanel
      class="panel absolute right-0 z-20 mt-1 max-h-[70vh] w-122.5 overflow-y-auto py-1"
    >
      <p v-if="runs.length === 0" class="p-3 text-ink2">
        No dry runs yet. Make one from a journey’s run sheet.
      </p>
      <label
        v-for="run in runs"
        :key="refOf(run)"
        class="flex items-center gap-2.5 px-3 py-1.5 hover:bg-sunk"
      >
        <input
          type="checkbox"
          :checked="chosen.includes(refOf(run))"
          :disabled="!chosen.includes(refOf(run)) && chosen.length >= 6"
          @change="emit('toggle', refOf(run))"
        />
        <span class="flex-1">
          <b class="font-semibold">{{ run.journeyName }}</b> v{{ run.journeyVersion }}
          <span v-if="run.name" class="chip ml-1">{{ run.name }}</span>
          <span class="note">
            · {{ whoseRun(run) }} · {{ day(run.madeAt) }} {{ clock(run.madeAt) }}
          </span>
        </span>
        <span class="figure">{{ run.goal ? percent(run.goal.value, 1) : 'no goal' }}</span>
      </label>
      <MoreButton
        v-if="runs.length < total"
        :shown="runs.length"
        :total="total"
        :busy="busy"
        @more="emit('more')"
      />
    </PopoverPanel>
  </Popover>
</template>
