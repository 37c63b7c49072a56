<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import StepGlyph from '@/features/workbench/StepGlyph.vue'
import type { RunMeasures, RunSheet, StepMeasures } from '@/api/types'
import { count, duration, interval, margin, points } from '@/ui/figures'
import Sentence from '@/ui/Sentence.vue'
import ShareBar from '@/ui/ShareBar.vue'
import ColumnChooser from './ColumnChooser.vue'
import { COLUMNS, sorted, type StepColumn } from './stepColumns'

const props = defineProps<{
  measures: RunMeasures
  sheet: RunSheet
  selected: string | null
  /** Where the table can be had as CSV. */
  csv: string
}>()
const emit = defineEmits<{ select: [step: string] }>()

const usual = COLUMNS.filter((one) => one.shown).map((one) => one.key)
const chosen = useStorage('step-columns', usual)
const onlyMessages = useStorage('step-only-messages', false)
const columns = computed(() => COLUMNS.filter((one) => chosen.value.includes(one.key)))
const sortedBy = ref<{ key: string; down: boolean } | null>(null)

const lines = computed(() => {
  const steps = new Map(props.measures.steps.map((step) => [step.id, step]))
  const all = props.sheet.rows.flatMap((row) => {
    const step = steps.get(row.id)
    return step && (step.email || !onlyMessages.value) ? [{ row, step }] : []
  })
  const by = COLUMNS.find((one) => one.key === sortedBy.value?.key) ?? null
  return sorted(all, by, sortedBy.value?.down ?? true)
})

/** Down first, then up, then back to the run sheet's order. */
function sort(column: StepColumn) {
  const now = sortedBy.value
  if (now?.key !== column.key) sortedBy.value = { key: column.key, down: true }
  else sortedBy.value = now.down ? { key: column.key, down: false } : null
}

function order(column: StepColumn) {
  if (sortedBy.value?.key !== column.key) return 'none'
  return sortedBy.value.down ? 'descending' : 'ascending'
}

function plain(column: StepColumn, step: StepMeasures): string {
  const hours = column.hours?.(step)
  if (column.hours) return hours === undefined ? 'none yet' : duration(hours)
  const number = column.count?.(step)
  return number === undefined ? '' : count(number)
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="flex items-center gap-2 border-b border-line2 px-3 py-1">
      <span class="note">± is half of a 95% interval; point at a figure for its interval</span>
      <label class="ml-auto flex items-center gap-1.5 text-note">
        <input v-model="onlyMessages" type="checkbox" /> only emails and texts
      </label>
      <ColumnChooser v-model="chosen" />
      <a class="button button-small" :href="csv" download>CSV</a>
    </div>
    <div class="min-h-0 flex-1 overflow-auto" tabindex="0" role="group" aria-label="Steps">
      <table class="w-full min-w-205">
        <thead class="sticky top-0 z-[1] bg-panel text-right text-note text-ink2">
          <tr class="h-8 border-b border-line whitespace-nowrap">
            <th class="px-3 text-left font-medium">step</th>
            <th class="px-2 font-medium">reached</th>
            <th class="w-12"><span class="sr-only">share reached</span></th>
            <th
              v-for="column in columns"
              :key="column.key"
              class="px-1.5 font-medium"
              :aria-sort="order(column)"
            >
              <button
                type="button"
                class="hover:text-ink"
                :title="column.title"
                @click="sort(column)"
              >
                {{ column.head }}
                <span v-if="sortedBy?.key === column.key" aria-hidden="true">{{
                  sortedBy.down ? '↓' : '↑'
                }}</span>
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="{ row, step } in lines"
            :key="row.id"
            class="figure h-8 border-b border-line2 text-right text-note"
            :class="row.id === selected ? 'bg-marigold-soft' : ''"
          >
            <th
              scope="row"
              class="max-w-50 min-w-47.5 px-3 text-left font-sans text-plain font-normal"
            >
              <button
                type="button"
                class="flex w-full items-center gap-2 text-left"
                :title="row.sentence.spans.map((span) => span.text).join('')"
                @click="emit('select', row.id)"
              >
                <StepGlyph :kind="row.kind" class="shrink-0" />
                <span v-if="row.label" class="chip px-1.5">{{ row.label }}</span>
                <span class="truncate"><Sentence :phrase="row.sentence" /></span>
              </button>
            </th>
            <td class="px-1.5">{{ count(step.reach.count) }}</td>
            <td class="min-w-9"><ShareBar :value="step.reach.value" /></td>
            <td v-for="column in columns" :key="column.key" class="px-1.5 whitespace-nowrap">
              <template v-if="column.share">
                <span
                  v-if="column.share(step)"
                  class="block"
                  :title="interval(column.share(step)!)"
                >
                  <b :class="{ 'font-normal': !step.email }">{{
                    points(column.share(step)!.value, 1)
                  }}</b>
                  <span class="ml-0.5 text-micro text-ink2">{{ margin(column.share(step)!) }}</span>
                  <span class="mt-px block h-0.5 rounded-full bg-line2" aria-hidden="true">
                    <span
                      class="block h-full rounded-full bg-vine opacity-70"
                      :style="{ width: `${(column.share(step)!.value ?? 0) * 100}%` }"
                    />
                  </span>
                </span>
              </template>
              <template v-else>{{ plain(column, step) }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>
