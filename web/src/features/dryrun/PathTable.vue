<script setup lang="ts">
import { computed } from 'vue'
import type { PathLine, PathReport } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { count, interval, percent } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'

/** The distinct ways that people went; the chosen one lights up on the trellis. */
const props = defineProps<{ paths: PathReport; chosen: number | null; csv: string }>()
const emit = defineEmits<{ choose: [path: number | null] }>()

type Line = PathLine & { place: number }

const lines = computed<Line[]>(() => props.paths.paths.map((path, place) => ({ ...path, place })))
const most = computed(() => Math.max(0.01, ...props.paths.paths.map((p) => p.people.value ?? 0)))
const note = computed(() => {
  const { distinct, others, paths } = props.paths
  const more = others > 0 ? ' or more' : ''
  return `${paths.length} of ${count(distinct)}${more} different ways, the commonest first`
})

const COLUMNS: TableColumn<Line>[] = [
  { id: 'people', head: 'people', headClass: 'px-3', cellClass: 'px-3' },
  { id: 'share', head: 'of entered' },
  { id: 'picture', head: 'picture', quiet: true, headClass: 'w-24' },
  {
    id: 'way',
    head: 'the way they went',
    names: true,
    headClass: 'px-3',
    cellClass: 'px-3 py-1.5',
  },
  { id: 'goal', head: 'goal met', value: (path) => path.goal?.value ?? null },
  { id: 'emails', head: 'emails each', value: (path) => path.emails },
  { id: 'days', head: 'days', value: (path) => path.days, headClass: 'px-3', cellClass: 'px-3' },
]
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="flex items-center border-b border-line2 px-3 py-1">
      <span class="note">{{ note }}; choose one to see it on the trellis</span>
      <a class="button button-small ml-auto" :href="csv" download>CSV</a>
    </div>
    <DataTable
      label="Paths"
      :columns="COLUMNS"
      :rows="lines"
      :key-of="(path) => path.place"
      :chosen="chosen"
    >
      <template #cell-people="{ row }">{{ count(row.people.count) }}</template>
      <template #cell-share="{ row }">
        <span :title="interval(row.people)">{{ percent(row.people.value, 1) }}</span>
      </template>
      <template #cell-picture="{ row }">
        <span class="block h-1.5 rounded-full bg-line2" aria-hidden="true">
          <span
            class="block h-full rounded-full bg-vine"
            :style="{ width: `${((row.people.value ?? 0) / most) * 100}%` }"
          />
        </span>
      </template>
      <template #cell-way="{ row }">
        <button
          type="button"
          class="text-left"
          :aria-pressed="row.place === chosen"
          @click="emit('choose', row.place === chosen ? null : row.place)"
        >
          {{ row.words }}
        </button>
      </template>
      <template #cell-goal="{ row }">
        <span :title="row.goal ? interval(row.goal) : undefined">{{
          row.goal ? percent(row.goal.value, 1) : 'no goal'
        }}</span>
      </template>
      <template #cell-emails="{ row }">{{ row.emails.toFixed(1) }}</template>
      <template #cell-days="{ row }">{{ row.days.toFixed(1) }}</template>
      <template #foot>
        <tr v-if="paths.rest.count > 0" class="figure text-right text-note text-ink2">
          <td class="px-3">{{ count(paths.rest.count) }}</td>
          <td class="px-2">{{ percent(paths.rest.value, 1) }}</td>
          <td></td>
          <td class="px-3 py-1.5 text-left font-sans text-plain" colspan="4">
            went one of {{ count(paths.restOf) }} other ways
          </td>
        </tr>
      </template>
    </DataTable>
  </div>
</template>
