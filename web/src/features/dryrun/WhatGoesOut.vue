<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { answerOf, api } from '@/api/client'
import { queryClient, questions } from '@/api/queries'
import type { LimitLine, Outgoing, LimitsView } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { useCharts } from '@/ui/chart'
import { count } from '@/ui/figures'
import DraftInput from '@/ui/DraftInput.vue'
import { dayOptions } from './outgoing'

/** What goes out by day and hour, against what the account may send. */
const props = defineProps<{ out: Outgoing; lines: LimitLine[]; run: number }>()
const emit = defineEmits<{ limited: [] }>()

useCharts()

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
const options = computed(() => dayOptions(props.out))
const fullest = computed(() => Math.max(1, ...props.out.byWeekdayHour.flat()))
const { data: limits, error } = useQuery(questions.limits())
const { failure, attempt } = useAttempt(error)

const set = (change: Partial<LimitsView>) =>
  attempt(async () => {
    if (!limits.value) return
    const body = { ...limits.value, ...change }
    const saved = await answerOf(api.PUT('/api/sending-limits', { body }))
    queryClient.setQueryData(questions.limits().queryKey, saved)
    emit('limited')
  })

function typed(event: Event): number | null {
  const value = (event.target as HTMLInputElement).valueAsNumber
  return Number.isFinite(value) ? value : null
}
</script>

<template>
  <div class="grid min-h-0 flex-1 grid-cols-[1fr_250px] overflow-hidden">
    <div class="flex min-h-0 flex-col">
      <VChart
        class="min-h-20 flex-1"
        :option="options"
        :init-options="{ renderer: 'svg' }"
        autoresize
        aria-label="Messages by day"
      />
      <table
        class="mx-3 mb-1.5 w-[calc(100%-1.5rem)] table-fixed border-separate border-spacing-[1.5px] text-micro text-ink2"
      >
        <caption class="sr-only">
          Messages by weekday and local hour
        </caption>
        <thead>
          <tr>
            <td class="w-8"></td>
            <th v-for="hour in 24" :key="hour" class="figure font-normal">
              <span :class="{ 'sr-only': (hour - 1) % 3 !== 0 }">{{ hour - 1 }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, i) in out.byWeekdayHour" :key="i">
            <th scope="row" class="text-left font-normal">{{ DAYS[i] }}</th>
            <td
              v-for="(messages, hour) in row"
              :key="hour"
              class="h-2.75 rounded-xs"
              :title="`${DAYS[i]} ${hour}:00: ${count(messages)}`"
              :style="{
                background: messages ? 'var(--color-vine)' : 'var(--color-cell)',
                opacity: messages ? 0.15 + 0.85 * (messages / fullest) : 1,
              }"
            >
              <span class="sr-only">{{ messages }}</span>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div
      class="min-h-0 overflow-y-auto border-l border-line2 px-3 py-2"
      tabindex="0"
      role="group"
      aria-label="Against the limits"
    >
      <ul class="space-y-1.5">
        <li v-for="line in lines" :key="line.text" :class="{ warning: line.trouble }">
          {{ line.text }}
        </li>
      </ul>
      <div v-if="limits" class="mt-2 grid grid-cols-[1fr_96px] items-center gap-1.5">
        <label class="contents">
          <span>Emails a month</span>
          <DraftInput
            type="number"
            min="1"
            class="field figure min-h-6.5! text-right"
            placeholder="no limit"
            :value="limits.monthlyQuota"
            @change="set({ monthlyQuota: typed($event) })"
          />
        </label>
        <label class="contents">
          <span>A text’s segment costs</span>
          <DraftInput
            type="number"
            min="0"
            step="any"
            class="field figure min-h-6.5! text-right"
            placeholder="unknown"
            :value="limits.segmentPrice"
            @change="set({ segmentPrice: typed($event) })"
          />
        </label>
        <label class="contents">
          <span>Emails in 7 days, at most</span>
          <DraftInput
            type="number"
            min="1"
            max="50"
            class="field figure min-h-6.5! text-right"
            :value="limits.emailsPerWeek"
            @change="set({ emailsPerWeek: typed($event) ?? 4 })"
          />
        </label>
      </div>
      <p v-if="failure" class="mt-1 text-clay" role="alert">{{ failure }}</p>
      <p class="mt-2 flex gap-1">
        <a class="button button-small" :href="`/api/dry-runs/${run}/outgoing.csv`" download>CSV</a>
        <a class="button button-small" :href="`/api/dry-runs/${run}/plan.ics`" download
          >Plan as iCalendar</a
        >
      </p>
    </div>
  </div>
</template>
