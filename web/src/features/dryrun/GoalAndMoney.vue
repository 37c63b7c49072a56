<script setup lang="ts">
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { curveOptions } from '@/features/compare/curves'
import type { JourneyReport, RunSheet } from '@/api/types'
import { useCharts } from '@/ui/chart'
import { count, estimated, estimatedRange, interval, percent } from '@/ui/figures'

/** The goal by day since entry, what people bought, and emails that are tried again. */
const props = defineProps<{ report: JourneyReport; sheet: RunSheet; csv: string }>()

useCharts()

const options = computed(() =>
  curveOptions([{ name: 'goal met', curve: props.report.curves.goal, look: 0 }]),
)
const names = computed(() => new Map(props.sheet.rows.map((row) => [row.id, row.brief])))
const money = computed(() => {
  const of = props.report.measures.money
  return [
    { name: 'Orders', people: of.ordersPerThousandPeople, emails: of.ordersPerThousandEmails },
    { name: 'Revenue', people: of.revenuePerThousandPeople, emails: of.revenuePerThousandEmails },
  ]
})
</script>

<template>
  <div class="grid min-h-0 flex-1 grid-cols-[1fr_330px]">
    <div class="flex min-h-0 flex-col">
      <p class="note flex items-center px-3 pt-1.5">
        Goal met by day since entry (Kaplan–Meier); who is no longer followed counts as not yet;
        band 95%
        <a class="button button-small ml-auto" :href="csv" download>CSV</a>
      </p>
      <VChart
        v-if="report.curves.goal"
        class="min-h-0 flex-1"
        :option="options"
        :init-options="{ renderer: 'svg' }"
        autoresize
        aria-label="Goal met by day since entry"
      />
      <p v-else class="p-4 text-ink2">The journey has no goal, so there is no curve.</p>
    </div>
    <div
      class="min-h-0 overflow-y-auto border-l border-line2 px-3 py-2"
      tabindex="0"
      role="group"
      aria-label="Orders and tries"
    >
      <table class="w-full text-right">
        <thead class="text-note text-ink2">
          <tr>
            <th class="text-left font-medium">per thousand</th>
            <th class="font-medium">people</th>
            <th class="font-medium">emails</th>
          </tr>
        </thead>
        <tbody class="figure text-note">
          <tr v-for="line in money" :key="line.name" class="border-t border-line2">
            <th class="py-1 text-left font-sans font-normal">{{ line.name }}</th>
            <td v-for="(figure, i) in [line.people, line.emails]" :key="i">
              <b>{{ estimated(figure) }}</b>
              <span class="block text-tiny text-ink2">{{ estimatedRange(figure) }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="note mt-1">
        {{ count(report.measures.money.orders) }} orders by
        {{ percent(report.measures.money.buyers.value, 1) }} of those who entered, whatever brought
        them about.
      </p>
      <h2 class="mt-3 text-lead">Tried again</h2>
      <p v-if="report.measures.chains.length === 0" class="note">
        No email here is tried again with those who did not open it.
      </p>
      <p v-for="chain in report.measures.chains" :key="chain.steps[0]" class="mt-1">
        <b>{{ names.get(chain.steps[0]!) }}</b>: opened any of {{ chain.steps.length }}:
        <b :title="interval(chain.openedAny)">{{ percent(chain.openedAny.value, 1) }}</b>, against
        {{ percent(chain.openedFirst.value, 1) }} at the first try, for
        {{ chain.moreEmails?.toFixed(2) ?? 'no' }} more emails each.
      </p>
    </div>
  </div>
</template>
