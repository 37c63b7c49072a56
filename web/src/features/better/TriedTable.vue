<script setup lang="ts">
import type { TriedWay } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { count, percent } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'

/** Everything that was tried, and what became of it. */
defineProps<{ tried: TriedWay[] }>()

const COLUMNS: TableColumn<TriedWay>[] = [
  {
    id: 'what',
    head: 'what was tried, and what became of it',
    names: true,
    headClass: 'px-3',
    cellClass: 'w-full max-w-0 min-w-60 px-3',
  },
  { id: 'goal', head: 'goal', value: (row) => row.figures.goal.value },
  { id: 'emails', head: 'emails each', value: (row) => row.figures.emailsEach },
  { id: 'gone', head: 'unsubscribed', value: (row) => row.figures.unsubscribed.value },
  {
    id: 'people',
    head: 'people',
    value: (row) => row.figures.people,
    headClass: 'pr-3',
    cellClass: 'pr-3',
  },
]
const what = (row: TriedWay) => row.changes.join('; ')
</script>

<template>
  <DataTable
    label="Everything tried"
    :columns="COLUMNS"
    :rows="tried"
    :key-of="what"
    :row-pixels="64"
  >
    <template #cell-what="{ row }">
      <span
        v-if="row.changes.length"
        class="line-clamp-2 leading-tight"
        :class="{ 'font-semibold': row.row !== null }"
        :title="what(row)"
        >{{ what(row) }}
      </span>
      <span class="block truncate" :class="{ note: row.changes.length }" :title="row.fate">{{
        row.fate
      }}</span>
    </template>
    <template #cell-people="{ row }">{{ count(row.figures.people) }}</template>
    <template #cell-goal="{ row }">{{ percent(row.figures.goal.value, 1) }}</template>
    <template #cell-emails="{ row }">{{ row.figures.emailsEach?.toFixed(2) ?? '–' }}</template>
    <template #cell-gone="{ row }">{{ percent(row.figures.unsubscribed.value, 2) }}</template>
  </DataTable>
</template>
