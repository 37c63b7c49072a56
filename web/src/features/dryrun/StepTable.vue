<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import StepGlyph from '@/features/workbench/StepGlyph.vue'
import type { RunMeasures, RunSheet, StepMeasures } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { count, duration } from '@/ui/figures'
import Sentence from '@/ui/Sentence.vue'
import ShareBar from '@/ui/ShareBar.vue'
import ColumnChooser from '@/ui/ColumnChooser.vue'
import type { TableColumn } from '@/ui/table'
import ShareCell from './ShareCell.vue'
import { COLUMNS, type StepColumn, type StepLine, valueOf } from './stepColumns'

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
const figures = computed(() => COLUMNS.filter((one) => chosen.value.includes(one.key)))
const columns = computed<TableColumn<StepLine>[]>(() => [
  {
    id: 'step',
    head: 'step',
    names: true,
    headClass: 'px-3',
    cellClass: 'max-w-50 min-w-47.5 px-3',
  },
  { id: 'reached', head: 'reached', cellClass: 'px-1.5' },
  { id: 'bar', head: 'share reached', quiet: true, headClass: 'w-12', cellClass: 'min-w-9' },
  ...figures.value.map((column) => ({
    id: column.key,
    head: column.head,
    title: column.title,
    value: ({ step }: StepLine) => valueOf(column, step),
    headClass: 'px-1.5',
    cellClass: 'px-1.5 whitespace-nowrap',
  })),
])

const lines = computed<StepLine[]>(() => {
  const steps = new Map(props.measures.steps.map((step) => [step.id, step]))
  return props.sheet.rows.flatMap((row) => {
    const step = steps.get(row.id)
    return step && (step.email || !onlyMessages.value) ? [{ row, step }] : []
  })
})

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
      <ColumnChooser v-model="chosen" :columns="COLUMNS" />
      <a class="button button-small" :href="csv" download>CSV</a>
    </div>
    <DataTable
      label="Steps"
      table-class="min-w-205"
      :columns="columns"
      :rows="lines"
      :key-of="(line) => line.row.id"
      :chosen="selected"
      row-class="h-6.5"
    >
      <template #cell-step="{ row: { row } }">
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
      </template>
      <template #cell-reached="{ row: { step } }">{{ count(step.reach.count) }}</template>
      <template #cell-bar="{ row: { step } }"><ShareBar :value="step.reach.value" /></template>
      <template
        v-for="column in figures"
        :key="column.key"
        #[`cell-${column.key}`]="{ row: { step } }"
      >
        <ShareCell v-if="column.share" :share="column.share(step) ?? null" :strong="!!step.email" />
        <template v-else>{{ plain(column, step) }}</template>
      </template>
    </DataTable>
  </div>
</template>
