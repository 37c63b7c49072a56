<script setup lang="ts">
import { computed } from 'vue'
import type { DropOff, RunSheet } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { count, interval, percent } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'

/** Where people's way ends, and to what; whoever met the goal is not lost. */
const props = defineProps<{ dropOff: DropOff; sheet: RunSheet; selected: string | null }>()
const emit = defineEmits<{ select: [step: string] }>()

const KINDS = [
  { key: 'met', name: 'met the goal', color: 'var(--color-vine)' },
  { key: 'unsubscribed', name: 'unsubscribed', color: 'var(--color-clay)' },
  { key: 'bounced', name: 'address dead', color: 'var(--color-clay-mid)' },
  { key: 'complained', name: 'complained', color: 'var(--color-plum)' },
  { key: 'byRule', name: 'left by a rule', color: 'var(--color-slate)' },
  { key: 'erased', name: 'erased', color: 'var(--color-ink)' },
  { key: 'early', name: 'finished early', color: 'var(--color-straw)' },
  { key: 'waiting', name: 'still inside', color: 'var(--color-stone)' },
] as const

const names = computed(() => new Map(props.sheet.rows.map((row) => [row.id, row])))
const kinds = computed(() =>
  KINDS.filter((kind) => props.dropOff.places.some((place) => place[kind.key] > 0)),
)
const most = computed(() =>
  Math.max(
    1,
    ...props.dropOff.places.map((place) => KINDS.reduce((sum, kind) => sum + place[kind.key], 0)),
  ),
)
type Place = DropOff['places'][number]

const columns = computed<TableColumn<Place>[]>(() => [
  { id: 'step', head: 'where their way ends', names: true, headClass: 'px-3', cellClass: 'px-3' },
  { id: 'reached', head: 'got here', value: (place) => place.reached },
  { id: 'picture', head: 'picture', quiet: true, headClass: 'w-[22%]' },
  ...kinds.value.map((kind) => ({ id: kind.key, head: kind.name })),
  {
    id: 'lost',
    head: 'lost here',
    value: (place) => place.lost.value,
    headClass: 'px-3',
    cellClass: 'px-3',
  },
])
/** Where most are lost comes first. */
const worstFirst = computed(() =>
  props.dropOff.places.toSorted((one, other) => other.lost.count - one.lost.count),
)
const words = computed(() => {
  const { through, met, planned, lost, waiting } = props.dropOff
  return `${percent(through.value, 1)} went through to the end, ${percent(met.value, 1)} left with the goal met, ${percent(planned.value, 1)} ended before as the journey says, ${percent(lost.value, 1)} were lost on the way, ${percent(waiting.value, 1)} are still inside.`
})
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <p class="border-b border-line2 px-3 py-1.5">{{ words }}</p>
    <DataTable
      label="Drop-off"
      :columns="columns"
      :rows="worstFirst"
      :key-of="(place) => place.step"
      :chosen="selected"
    >
      <template #cell-step="{ row }">
        <button type="button" class="text-left" @click="emit('select', row.step)">
          <span v-if="names.get(row.step)?.label" class="chip mr-1.5 px-1.5">{{
            names.get(row.step)!.label
          }}</span>{{ names.get(row.step)?.brief ?? row.step }}
        </button>
      </template>
      <template #cell-reached="{ row }">{{ count(row.reached) }}</template>
      <template #cell-picture="{ row }">
        <span class="flex h-2.5 overflow-hidden rounded-full bg-line2" aria-hidden="true">
          <span
            v-for="kind in kinds"
            :key="kind.key"
            :style="{ width: `${(row[kind.key] / most) * 100}%`, background: kind.color }"
          />
        </span>
      </template>
      <template v-for="kind in kinds" :key="kind.key" #[`head-${kind.key}`]>
        <span class="mr-1 inline-block size-2 rounded-xs" :style="{ background: kind.color }" />{{
          kind.name
        }}
      </template>
      <template v-for="kind in kinds" :key="kind.key" #[`cell-${kind.key}`]="{ row }">
        {{ row[kind.key] ? count(row[kind.key]) : '' }}
      </template>
      <template #cell-lost="{ row }">
        <span :title="interval(row.lost)">{{ percent(row.lost.value, 1) }}</span>
      </template>
      <template #below>
        <p v-if="dropOff.places.length === 0" class="p-4 text-ink2">
          Nobody’s way has ended yet: nobody entered.
        </p>
      </template>
    </DataTable>
  </div>
</template>
