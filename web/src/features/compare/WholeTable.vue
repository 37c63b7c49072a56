<script setup lang="ts">
import { computed } from 'vue'
import type { ComparisonView, Judged } from '@/api/types'
import { estimated, estimatedRange, interval, percent } from '@/ui/figures'

/** Whole runs by figures, and each against the one that is compared with in words. */
const props = defineProps<{ view: ComparisonView }>()

const FIGURES = [
  { name: 'orders per thousand people', key: 'ordersPerThousandPeople' },
  { name: 'orders per thousand emails', key: 'ordersPerThousandEmails' },
  { name: 'revenue per thousand people', key: 'revenuePerThousandPeople' },
  { name: 'revenue per thousand emails', key: 'revenuePerThousandEmails' },
] as const

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

function verdict(judged: Judged | null | undefined): string {
  return judged ? KINDS[judged.kind] : ''
}
</script>

<template>
  <div class="min-h-0 flex-1 overflow-auto" tabindex="0" role="group" aria-label="Whole runs">
    <table class="w-full text-right">
      <thead class="text-note text-ink2">
        <tr class="h-8 border-b border-line">
          <th class="px-3 text-left font-medium">whole run</th>
          <th v-for="column in view.columns" :key="column.ref" class="px-3 font-medium">
            {{ column.name }}
          </th>
        </tr>
      </thead>
      <tbody class="figure text-note">
        <tr class="border-b border-line2">
          <th class="px-3 py-1 text-left font-sans font-normal">unsubscribed</th>
          <td v-for="(column, i) in view.columns" :key="column.ref" class="px-3">
            <b>{{ percent(column.measures.unsubscribed.value, 2) }}</b>
            <span class="block text-tiny text-ink2">{{
              interval(column.measures.unsubscribed, 2)
            }}</span>
            <span class="block font-sans text-tiny text-ink2">{{
              verdict(view.comparison.wholes[i]?.unsubscribed)
            }}</span>
          </td>
        </tr>
        <tr class="border-b border-line2">
          <th class="px-3 py-1 text-left font-sans font-normal">emails each</th>
          <td v-for="column in view.columns" :key="column.ref" class="px-3">
            <b>{{ column.measures.emailsEach?.toFixed(2) ?? 'none yet' }}</b>
          </td>
        </tr>
        <tr v-for="figure in FIGURES" :key="figure.key" class="border-b border-line2">
          <th class="px-3 py-1 text-left font-sans font-normal">{{ figure.name }}</th>
          <td v-for="(column, i) in view.columns" :key="column.ref" class="px-3">
            <b>{{ estimated(column.measures.money[figure.key]) }}</b>
            <span class="block text-tiny text-ink2">{{
              estimatedRange(column.measures.money[figure.key])
            }}</span>
            <span
              class="block font-sans text-tiny text-ink2"
              :title="view.comparison.wholes[i]?.[figure.key]?.sentence"
              >{{ verdict(view.comparison.wholes[i]?.[figure.key]) }}</span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <section v-for="one in words" :key="one.run" class="border-b border-line2 px-3 py-2">
      <h2 class="text-lead">{{ one.run }}</h2>
      <p v-for="line in one.lines" :key="line" class="mt-0.5">{{ line }}</p>
    </section>
  </div>
</template>
