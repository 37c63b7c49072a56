<script setup lang="ts">
import { computed } from 'vue'
import type { HealthRate, HealthWeek } from '@/api/types'
import { shortDay } from '@/features/calendar/days'
import { count, NONE_YET, percent } from '@/ui/figures'

/** What became of each week's emails, with bands; the newest week first. */
const props = defineProps<{ weeks: HealthWeek[] }>()

const rows = computed(() =>
  [...props.weeks].reverse().map((week) => ({
    ...week,
    rates: [week.bounced, week.complained, week.unsubscribed],
  })),
)

function band(rate: HealthRate): string {
  return `${percent(rate.low, 1)} to ${percent(rate.high, 1)}`
}
</script>

<template>
  <table class="w-full" aria-label="Week by week">
    <thead>
      <tr class="note text-left">
        <th class="font-normal">week of</th>
        <th class="text-right font-normal">went out</th>
        <th class="text-right font-normal">came back</th>
        <th class="text-right font-normal">complained</th>
        <th class="text-right font-normal">unsubscribed</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="week in rows" :key="week.monday" class="border-t border-line2 align-top">
        <td class="py-1 whitespace-nowrap">{{ shortDay(week.monday) }}</td>
        <td class="figure py-1 text-right">{{ week.sent ? count(week.sent) : '–' }}</td>
        <td v-for="(rate, n) in week.rates" :key="n" class="figure py-1 pl-2 text-right">
          <template v-if="rate"
            >{{ percent(rate.share, 1) }} <span class="note">({{ count(rate.count) }})</span
            ><span class="note block">{{ band(rate) }}</span></template
          >
          <span v-else class="note">{{ NONE_YET }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>
