<script setup lang="ts">
import { computed } from 'vue'
import type { ComparedCell, ComparisonView } from '@/api/types'
import { count, interval, margin, percent } from '@/ui/figures'
import EmailCell from './EmailCell.vue'
import { RUN_LOOKS } from './palette'

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

function isChosen(row: string, run: number) {
  return props.chosen?.row === row && props.chosen.run === run
}

function toldOf(cell: ComparedCell | null) {
  return cell?.against ? cell.against.sentence : undefined
}
</script>

<template>
  <div class="overflow-auto" tabindex="0" role="group" aria-label="Messages in rows">
    <table class="w-full table-fixed" :class="{ 'min-w-375': view.columns.length > 4 }">
      <thead class="sticky top-0 z-[1] bg-panel">
        <tr class="border-b border-line text-left align-bottom">
          <th class="w-26 px-3"><span class="sr-only">row</span></th>
          <th v-for="(column, i) in view.columns" :key="column.ref" class="px-2 py-1.5">
            <span class="flex items-center gap-1.5 font-semibold">
              <svg viewBox="0 0 16 16" class="size-4 shrink-0" aria-hidden="true">
                <path d="M2 14C1 6 6 2 14 2c0 8-4 13-12 12z" :fill="RUN_LOOKS[i]!.color" />
              </svg>
              <span class="truncate" :title="column.name">{{ column.name }}</span>
              <button
                type="button"
                class="ml-auto px-1 text-note font-normal text-ink2 hover:text-ink"
                :aria-label="`Take ${column.name} away`"
                @click="emit('remove', column.ref)"
              >
                ×
              </button>
            </span>
            <span class="note flex items-baseline gap-1.5 font-normal">
              <span class="truncate">
                {{ column.run.purpose.toLowerCase().replace('_', '-') }} · v{{
                  column.run.journeyVersion
                }}
                · {{ count(column.run.people) }} people
              </span>
              <b v-if="i === table.baseline" class="shrink-0 text-ink">compared with</b>
              <button v-else type="button" class="shrink-0 underline" @click="emit('baseline', i)">
                compare with this
              </button>
            </span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in table.rows" :key="row.label" class="border-b border-line2">
          <th scope="row" class="px-3 text-left text-note font-normal text-ink2">
            {{ row.label }}
          </th>
          <td
            v-for="(cell, i) in row.cells"
            :key="i"
            class="px-2 py-1"
            :class="{ 'bg-marigold-soft': isChosen(row.label, i) }"
            :title="toldOf(cell)"
            :data-cell="cell ? `${i}/${cell.step}` : undefined"
            @click="cell && emit('choose', row.label, i)"
          >
            <EmailCell v-if="cell" :cell="cell" :color="RUN_LOOKS[i]!.color" :scale="scale" />
            <span v-else class="text-ink2">–</span>
          </td>
        </tr>
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
      </tbody>
    </table>
    <p class="note px-3 py-1.5">
      In each cell: share of the run that got here · the measure with half of its 95% interval ·
      difference to the run compared with, in points, judged among all cells (Holm); in that run
      itself, the change from the message before.
    </p>
  </div>
</template>
