<script setup lang="ts" generic="T extends RowData">
import { useTable, type RowData, type SortingState } from '@tanstack/vue-table'
import { useVirtualizer } from '@tanstack/vue-virtual'
import { computed, ref, useTemplateRef } from 'vue'
import { definitions, FEATURES, type TableColumn } from './table'

/** More rows than this are drawn only where one looks. */
const MANY = 100
const USUAL_PIXELS = 32

/**
 * A table of figures: heads that stay, columns that can be sorted by, a chosen row. A cell is the
 * slot "cell-" with its column's id, its head may be one too; "foot" holds rows below all others,
 * "below" what is said after the table.
 */
const props = defineProps<{
  label: string
  columns: TableColumn<T>[]
  rows: T[]
  keyOf: (row: T) => string | number
  chosen?: string | number | null
  tableClass?: string
  /** How high a row is and how its figures look; a table of very many rows says its height below. */
  rowClass?: string
  /** How high a row is, in pixels. */
  rowPixels?: number
  /** All heads are only read aloud. */
  headless?: boolean
  /** More rows may come while one is in it: nothing may jump when they become many. */
  growing?: boolean
}>()

defineSlots<
  { [cell: `cell-${string}`]: (given: { row: T; index: number }) => unknown } & {
    [head: `head-${string}`]: () => unknown
  } & { foot?: () => unknown; below?: () => unknown }
>()

const scroller = useTemplateRef<HTMLElement>('scroller')
const sorting = ref<SortingState>([])
const table = useTable<typeof FEATURES, T>({
  features: FEATURES,
  columns: computed(() => definitions(props.columns)),
  data: computed(() => props.rows),
  state: computed(() => ({ sorting: sorting.value })),
})
const sorted = computed(() => {
  // The library reads both through its own options; here Vue learns what they depend on.
  void props.rows
  void sorting.value
  return table.getRowModel().rows.map((row) => row.original)
})

const many = computed(() => props.growing || sorted.value.length > MANY)
const virtual = useVirtualizer(
  computed(() => ({
    count: sorted.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => props.rowPixels ?? USUAL_PIXELS,
    overscan: 20,
    enabled: many.value,
  })),
)
/** The rows that are drawn, and the room of those above and below that are not. */
const drawn = computed(() => {
  const all = sorted.value.map((row, index) => ({ row, index }))
  if (!many.value) return { lines: all, above: 0, below: 0 }
  const items = virtual.value.getVirtualItems()
  const last = items.at(-1)
  return {
    lines: items.map((item) => all[item.index]!),
    above: items[0]?.start ?? 0,
    below: last ? virtual.value.getTotalSize() - last.end : 0,
  }
})

/** Down first, then up, then back to the order that the rows came in. */
function sort(id: string) {
  const now = sorting.value[0]
  if (now?.id !== id) sorting.value = [{ id, desc: true }]
  else sorting.value = now.desc ? [{ id, desc: false }] : []
}

function cellClass(column: TableColumn<T>, row: T) {
  const own = typeof column.cellClass === 'function' ? column.cellClass(row) : column.cellClass
  return [column.names ? 'text-left font-sans text-plain font-normal' : '', own ?? 'px-2']
}

/** How a column is sorted, in the words of the attribute; nothing if it cannot be. */
function order(column: TableColumn<T>) {
  const now = sorting.value[0]
  if (!column.value) return undefined
  if (now?.id !== column.id) return 'none'
  return now.desc ? 'descending' : 'ascending'
}
</script>

<template>
  <div
    ref="scroller"
    class="min-h-0 flex-1 overflow-auto"
    tabindex="0"
    role="group"
    :aria-label="label"
  >
    <table class="w-full" :class="tableClass" :aria-rowcount="many ? sorted.length + 1 : undefined">
      <thead
        class="text-right text-note text-ink2"
        :class="headless ? 'sr-only' : 'sticky top-0 z-10 bg-panel'"
      >
        <tr class="h-8 border-b border-line whitespace-nowrap">
          <th
            v-for="column in columns"
            :key="column.id"
            class="font-medium"
            :class="[column.names ? 'text-left' : '', column.headClass ?? 'px-2']"
            :aria-sort="order(column)"
          >
            <button
              v-if="column.value"
              type="button"
              class="min-h-6 hover:text-ink"
              :title="column.title"
              @click="sort(column.id)"
            >
              {{ column.head }}
              <span v-if="order(column) !== 'none'" aria-hidden="true">{{
                order(column) === 'descending' ? '↓' : '↑'
              }}</span>
            </button>
            <span v-else-if="column.quiet" class="sr-only">{{ column.head }}</span>
            <slot v-else :name="`head-${column.id}`">{{ column.head }}</slot>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-if="drawn.above" aria-hidden="true" :style="{ height: `${drawn.above}px` }" />
        <tr
          v-for="{ row, index } in drawn.lines"
          :key="keyOf(row)"
          :data-line="keyOf(row)"
          class="figure border-b border-line2 text-right text-note"
          :class="[
            rowClass ?? (rowPixels ? '' : 'h-8'),
            chosen !== undefined && keyOf(row) === chosen ? 'bg-marigold-soft' : '',
          ]"
          :style="rowPixels ? { height: `${rowPixels}px` } : undefined"
          :aria-rowindex="many ? index + 2 : undefined"
        >
          <component
            :is="column.names ? 'th' : 'td'"
            v-for="column in columns"
            :key="column.id"
            :scope="column.names ? 'row' : undefined"
            :class="cellClass(column, row)"
          >
            <slot :name="`cell-${column.id}`" :row="row" :index="index" />
          </component>
        </tr>
        <tr v-if="drawn.below" aria-hidden="true" :style="{ height: `${drawn.below}px` }" />
        <slot name="foot" />
      </tbody>
    </table>
    <slot name="below" />
  </div>
</template>
