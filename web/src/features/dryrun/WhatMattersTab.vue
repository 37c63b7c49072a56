<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import VChart from 'vue-echarts'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { MattersRow } from '@/api/types'
import { useCharts } from '@/ui/chart'
import DataTable from '@/ui/DataTable.vue'
import { count } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'
import { sweepOptions } from './matters'
import MovedBy from './MovedBy.vue'
import { useWhatMatters } from './useWhatMatters'

/** What moves the goal most when it is varied a little; one number over its range. */
const props = defineProps<{ run: number; number: number }>()
const emit = defineEmits<{ select: [step: string] }>()

const COLUMNS: TableColumn<MattersRow>[] = [
  {
    id: 'name',
    head: 'what is varied',
    names: true,
    headClass: 'px-3',
    cellClass: 'max-w-65 px-3',
  },
  { id: 'bars', head: 'how the goal moves', quiet: true, cellClass: 'w-[34%] px-2' },
  { id: 'less', head: 'a little less', cellClass: 'w-20 px-2' },
  { id: 'more', head: 'a little more', headClass: 'px-3', cellClass: 'w-20 px-3' },
]

useCharts()

const {
  matters,
  failure: noMatters,
  again,
} = useWhatMatters(
  () => props.run,
  () => props.number,
)
const picked = ref<string | null>(null)
const chosen = computed(() => {
  const rows = matters.value?.rows ?? []
  return rows.some((row) => row.id === picked.value) ? picked.value : (rows[0]?.id ?? null)
})
const swept = useQuery(() => ({
  ...questions.sweep(props.run, props.number, chosen.value ?? ''),
  enabled: chosen.value !== null,
}))
const sweep = computed(() => swept.data.value ?? null)
const failure = computed(
  () => noMatters.value ?? (swept.error.value ? reasonOf(swept.error.value) : null),
)

function choose(row: MattersRow) {
  picked.value = row.id
  if (row.step) emit('select', row.step)
}

function lookAgain() {
  void again()
  if (chosen.value !== null) void swept.refetch()
}

const most = computed(() => Math.max(0.001, ...(matters.value?.rows.map((r) => r.swing) ?? [])))
const options = computed(() => (sweep.value ? sweepOptions(sweep.value) : null))

/** A bar to the left or right of the middle, in percent of half the width. */
function bar(points: number | undefined) {
  const width = (Math.abs(points ?? 0) / most.value) * 50
  return { width: `${width}%`, left: `${(points ?? 0) < 0 ? 50 - width : 50}%` }
}
</script>

<template>
  <p v-if="failure" class="flex items-center gap-3 p-4 text-clay" role="alert">
    {{ failure }}
    <button type="button" class="button button-small" @click="lookAgain">Look again</button>
  </p>
  <p v-else-if="!matters" class="p-4 text-ink2" role="status">
    The same people go through again, once for each number, a little less and a little more…
  </p>
  <p v-else-if="matters.rows.length === 0" class="p-4 text-ink2">
    The journey has no goal, so nothing can be said to matter to it.
  </p>
  <div v-else class="grid min-h-0 flex-1 grid-cols-[1fr_360px]">
    <div class="flex min-h-0 flex-col">
      <p class="note border-b border-line2 px-3 py-1">
        By how many points the goal moves; the same {{ count(matters.people) }} people each time
      </p>
      <DataTable
        label="What matters"
        :columns="COLUMNS"
        :rows="matters.rows"
        :key-of="(row) => row.id"
        :chosen="chosen"
        row-class="h-7.5"
      >
        <template #head-less><span class="text-slate">a little less</span></template>
        <template #head-more><span class="text-vine">a little more</span></template>
        <template #cell-name="{ row }">
          <button
            type="button"
            class="block w-full truncate text-left"
            :title="row.sentence"
            :aria-pressed="row.id === chosen"
            @click="choose(row)"
          >
            {{ row.name }}
          </button>
        </template>
        <template #cell-bars="{ row }">
          <span class="relative block h-4" aria-hidden="true">
            <span class="absolute inset-y-0 left-1/2 w-px bg-line" />
            <span
              class="absolute top-0 h-1.75 rounded-xs bg-slate"
              :style="bar(row.lower?.points)"
            />
            <span
              class="absolute top-2 h-1.75 rounded-xs bg-vine"
              :style="bar(row.higher?.points)"
            />
          </span>
        </template>
        <template #cell-less="{ row }"><MovedBy :moved="row.lower" /></template>
        <template #cell-more="{ row }"><MovedBy :moved="row.higher" /></template>
      </DataTable>
    </div>
    <div class="flex min-h-0 flex-col border-l border-line2">
      <p class="px-3 pt-2 font-semibold">{{ sweep?.name ?? '…' }}</p>
      <p class="note px-3">The goal over its range; band: 95% of the change from as it is</p>
      <VChart
        v-if="options"
        class="min-h-0 flex-1"
        :option="options"
        :init-options="{ renderer: 'svg' }"
        autoresize
        :aria-label="`Goal over the range of ${sweep?.name}`"
      />
    </div>
  </div>
</template>
