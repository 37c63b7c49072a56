<script setup lang="ts">
import { computed } from 'vue'
import type { ComparisonView } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import PlainTerm from '@/ui/PlainTerm.vue'
import { count, interval, margin, percent } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'
import EmailCell from './EmailCell.vue'
import { RUN_LOOKS } from './palette'

type Row = ComparisonView['comparison']['table']['rows'][number]

const props = defineProps<{
  view: ComparisonView
  chosen: { row: string; run: number } | null
}>()
const emit = defineEmits<{
  baseline: [run: number]
  choose: [row: string, run: number]
  remove: [ref: string]
}>()

const table = computed(() => props.view.comparison.table)
/** The bars' right end: the next round share above all intervals. */
const scale = computed(() => {
  const highs = table.value.rows.flatMap((row) =>
    row.cells.flatMap((cell) => (cell?.share.high == null ? [] : [cell.share.high])),
  )
  const most = Math.max(0.001, ...highs)
  return [0.005, 0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1].find((one) => one >= most) ?? 1
})

const columns = computed<TableColumn<Row>[]>(() => [
  {
    id: 'label',
    head: 'row',
    names: true,
    quiet: true,
    headClass: 'w-26 px-3',
    cellClass: 'px-3 text-ink2',
  },
  ...props.view.columns.map((column, i) => ({
    id: String(i),
    head: column.name,
    headClass: 'px-2 py-1.5 text-left align-bottom text-plain text-ink',
    cellClass: (row: Row) => ['text-left', isChosen(row, i) ? 'bg-marigold-soft' : ''].join(' '),
  })),
])

function isChosen(row: Row, run: number) {
  return props.chosen?.row === row.label && props.chosen.run === run
}
</script>

<template>
  <DataTable
    label="Messages in rows"
    :columns="columns"
    :rows="table.rows"
    :key-of="(row) => row.label"
    row-class=""
    :table-class="view.columns.length > 4 ? 'table-fixed min-w-375' : 'table-fixed'"
  >
    <template v-for="(column, i) in view.columns" :key="column.ref" #[`head-${i}`]>
      <span class="flex items-center gap-1.5 font-semibold">
        <svg viewBox="0 0 16 16" class="size-4 shrink-0" aria-hidden="true">
          <path d="M2 14C1 6 6 2 14 2c0 8-4 13-12 12z" :fill="RUN_LOOKS[i]!.color" />
        </svg>
        <span class="truncate" :title="column.name">{{ column.name }}</span>
        <button
          type="button"
          class="ml-auto size-6 text-note font-normal text-ink2 hover:text-ink"
          :aria-label="`Take ${column.name} away`"
          @click="emit('remove', column.ref)"
        >
          ×
        </button>
      </span>
      <span class="note flex min-h-6 items-center gap-1.5 font-normal">
        <span class="truncate">
          {{ column.run.purpose.toLowerCase().replace('_', '-') }} · v{{
            column.run.journeyVersion
          }}
          · {{ count(column.run.people) }} people
        </span>
        <b v-if="i === table.baseline" class="shrink-0 text-ink">compared with</b>
        <button
          v-else
          type="button"
          class="min-h-6 shrink-0 underline"
          @click="emit('baseline', i)"
        >
          compare with this
        </button>
      </span>
    </template>
    <template #cell-label="{ row }"
      ><span class="block text-note">{{ row.label }}</span></template
    >
    <template v-for="(_, i) in view.columns" :key="i" #[`cell-${i}`]="{ row }">
      <button
        v-if="row.cells[i]"
        type="button"
        class="block w-full px-2 py-1 text-left font-sans"
        :title="row.cells[i].against?.sentence"
        :aria-pressed="isChosen(row, i)"
        :data-cell="`${i}/${row.cells[i].step}`"
        @click="emit('choose', row.label, i)"
      >
        <EmailCell :cell="row.cells[i]" :color="RUN_LOOKS[i]!.color" :scale="scale" />
      </button>
      <span v-else class="px-2 text-ink2">–</span>
    </template>
    <template #foot>
      <tr class="bg-sunk">
        <th scope="row" class="px-3 text-left text-note font-normal text-ink2">whole run</th>
        <td v-for="column in view.columns" :key="column.ref" class="px-2 py-1.5">
          <template v-if="column.measures.goal">
            <b class="font-display text-name" :title="interval(column.measures.goal)">{{
              percent(column.measures.goal.value, 1)
            }}</b>
            <span class="figure ml-1.5 text-note text-ink2"
              >{{ margin(column.measures.goal) }} goal met</span
            >
          </template>
          <span v-else class="text-ink2">no goal</span>
        </td>
      </tr>
    </template>
    <template #below>
      <p class="note px-3 py-1.5">
        In each cell: share of the run that got here · the measure with half of its 95% interval ·
        difference to the run compared with, in points,
        <PlainTerm term="holm">all cells judged together</PlainTerm>; in that run itself, the change
        from the message before.
      </p>
    </template>
  </DataTable>
</template>
