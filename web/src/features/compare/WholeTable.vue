<script setup lang="ts">
import { computed } from 'vue'
import type { ComparisonView, Judged } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { estimated, estimatedRange, interval, percent } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'

/** Whole runs by figures, and each against the one that is compared with in words. */
const props = defineProps<{ view: ComparisonView }>()

type Measures = ComparisonView['columns'][number]['measures']
type Whole = NonNullable<ComparisonView['comparison']['wholes'][number]>

/** A figure of whole runs: its value, its interval and the verdict on it, in words. */
interface WholeFigure {
  name: string
  value: (measures: Measures) => string
  range?: (measures: Measures) => string
  judged?: (whole: Whole) => Judged | null | undefined
}

const FIGURES: WholeFigure[] = [
  {
    name: 'unsubscribed',
    value: (measures) => percent(measures.unsubscribed.value, 2),
    range: (measures) => interval(measures.unsubscribed, 2),
    judged: (whole) => whole.unsubscribed,
  },
  { name: 'emails each', value: (measures) => measures.emailsEach?.toFixed(2) ?? 'none yet' },
  money('orders per thousand people', 'ordersPerThousandPeople'),
  money('orders per thousand emails', 'ordersPerThousandEmails'),
  money('revenue per thousand people', 'revenuePerThousandPeople'),
  money('revenue per thousand emails', 'revenuePerThousandEmails'),
]

function money(name: string, key: keyof Measures['money'] & keyof Whole): WholeFigure {
  return {
    name,
    value: (measures) => estimated(measures.money[key]),
    range: (measures) => estimatedRange(measures.money[key]),
    judged: (whole) => whole[key],
  }
}

const columns = computed<TableColumn<WholeFigure>[]>(() => [
  { id: 'figure', head: 'whole run', names: true, headClass: 'px-3', cellClass: 'px-3 py-1' },
  ...props.view.columns.map((column) => ({
    id: column.ref,
    head: column.name,
    headClass: 'px-3',
    cellClass: 'px-3',
  })),
])

const KINDS = { DIFFERENCE: 'a difference', COULD_BE_CHANCE: 'could be chance', TOO_FEW: 'too few' }

const words = computed(() =>
  props.view.comparison.wholes.flatMap((whole, i) =>
    whole
      ? [
          {
            run: props.view.columns[i]!.name,
            lines: [
              whole.goalSentence,
              whole.goalPace?.sentence,
              whole.unsubscribed?.sentence,
              whole.unsubscribePace?.sentence,
            ].filter((line): line is string => !!line),
          },
        ]
      : [],
  ),
)

function judged(figure: WholeFigure, run: number): Judged | null {
  const whole = props.view.comparison.wholes[run]
  return (whole && figure.judged?.(whole)) ?? null
}

function verdict(judged: Judged | null): string {
  return judged ? KINDS[judged.kind] : ''
}
</script>

<template>
  <DataTable
    label="Whole runs"
    :columns="columns"
    :rows="FIGURES"
    :key-of="(figure) => figure.name"
    row-class=""
  >
    <template #cell-figure="{ row: figure }">{{ figure.name }}</template>
    <template
      v-for="(column, i) in view.columns"
      :key="column.ref"
      #[`cell-${column.ref}`]="{ row }"
    >
      <b>{{ row.value(column.measures) }}</b>
      <span v-if="row.range" class="block text-tiny text-ink2">{{
        row.range(column.measures)
      }}</span>
      <span
        v-if="row.judged"
        class="block font-sans text-tiny text-ink2"
        :title="judged(row, i)?.sentence"
        >{{ verdict(judged(row, i)) }}</span
      >
    </template>
    <template #below>
      <section v-for="one in words" :key="one.run" class="border-b border-line2 px-3 py-2">
        <h2 class="text-lead">{{ one.run }}</h2>
        <p v-for="line in one.lines" :key="line" class="mt-0.5">{{ line }}</p>
      </section>
    </template>
  </DataTable>
</template>
