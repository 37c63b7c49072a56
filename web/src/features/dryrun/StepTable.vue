<script setup lang="ts">
import { computed } from 'vue'
import type { RunMeasures, RunSheet } from '@/api/types'
import { count, duration, interval, margin, points } from '@/ui/figures'
import Sentence from '@/ui/Sentence.vue'
import ShareBar from '@/ui/ShareBar.vue'
import StepGlyph from '@/features/workbench/StepGlyph.vue'

const props = defineProps<{ measures: RunMeasures; sheet: RunSheet; selected: string | null }>()
const emit = defineEmits<{ select: [step: string] }>()

const lines = computed(() => {
  const steps = new Map(props.measures.steps.map((step) => [step.id, step]))
  return props.sheet.rows.flatMap((row) => {
    const step = steps.get(row.id)
    return step ? [{ row, step }] : []
  })
})
</script>

<template>
  <div class="overflow-auto" tabindex="0" role="group" aria-label="Steps">
    <table class="w-full min-w-[820px]">
      <thead class="sticky top-0 bg-panel text-right text-[12px] text-ink2">
        <tr class="h-9 border-b border-line whitespace-nowrap">
          <th class="px-3 text-left font-medium">step</th>
          <th class="px-2 font-medium">reached</th>
          <th class="w-14"><span class="sr-only">share reached</span></th>
          <th class="px-2 font-medium">of all %</th>
          <th class="px-2 font-medium">opened %</th>
          <th class="px-2 font-medium">by people</th>
          <th class="px-2 font-medium">clicked %</th>
          <th class="px-2 font-medium">click-to-open</th>
          <th class="px-2 font-medium">left %</th>
          <th class="px-2 font-medium">waiting</th>
          <th class="px-3 font-medium">median</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="{ row, step } in lines"
          :key="row.id"
          class="figure h-[34px] border-b border-line2 text-right text-[12px]"
          :class="row.id === selected ? 'bg-marigold-soft' : ''"
        >
          <th scope="row" class="px-3 text-left font-sans text-[13px] font-normal">
            <button
              type="button"
              class="flex items-center gap-2 text-left"
              @click="emit('select', row.id)"
            >
              <StepGlyph :kind="row.kind" />
              <span v-if="row.label" class="chip px-1.5">{{ row.label }}</span>
              <Sentence :phrase="row.sentence" />
            </button>
          </th>
          <td class="px-2">{{ count(step.reach.count) }}</td>
          <td><ShareBar :value="step.reach.value" /></td>
          <td class="px-2 whitespace-nowrap" :title="interval(step.reach)">
            {{ points(step.reach.value, 1) }}
            <span class="ml-1 text-[11px] text-ink2">{{ margin(step.reach) }}</span>
          </td>
          <td class="px-2 whitespace-nowrap">
            <template v-if="step.email">
              <b>{{ points(step.email.opened.value, 1) }}</b>
              <span class="ml-1 text-[11px] text-ink2">{{ margin(step.email.opened) }}</span>
            </template>
          </td>
          <td class="px-2" :title="step.email ? interval(step.email.openedByPeople) : undefined">
            {{ step.email ? points(step.email.openedByPeople.value, 1) : '' }}
          </td>
          <td class="px-2 whitespace-nowrap">
            <template v-if="step.email">
              {{ points(step.email.clicked.value, 1) }}
              <span class="ml-1 text-[11px] text-ink2">{{ margin(step.email.clicked) }}</span>
            </template>
          </td>
          <td class="px-2" :title="step.email ? interval(step.email.clickToOpen) : undefined">
            {{ step.email ? points(step.email.clickToOpen.value, 1) : '' }}
          </td>
          <td class="px-2" :title="interval(step.left)">{{ points(step.left.value, 1) }}</td>
          <td class="px-2">{{ step.waiting ? count(step.waiting) : '' }}</td>
          <td class="px-3 whitespace-nowrap">
            {{ step.arrival ? duration(step.arrival.medianHours) : 'none yet' }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
