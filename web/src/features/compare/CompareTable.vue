<script setup lang="ts">
import { computed } from 'vue'
import type { Column, Share } from '@/api/types'
import { change, interval, margin, percent, points } from '@/ui/figures'
import type { Measure } from './measures'
import { RUN_LOOKS } from './palette'

const props = defineProps<{ columns: Column[]; measure: Measure }>()

const ORDINALS = ['1st', '2nd', '3rd']
const rows = computed(() => Math.max(0, ...props.columns.map((column) => column.places.length)))

function cell(column: Column, index: number) {
  const place = column.places[index]
  const email = place?.step.email
  if (!place || !email) return null
  const shares: Record<Measure, Share> = {
    opened: email.opened,
    clicked: email.clicked,
    clickToOpen: email.clickToOpen,
    reach: place.step.reach,
  }
  return {
    name: column.emailNames[index] ?? '',
    reach: place.step.reach,
    share: shares[props.measure],
    before: place.before?.[props.measure] ?? null,
    first: index === 0,
  }
}
</script>

<template>
  <div class="overflow-auto" tabindex="0" role="group" aria-label="Emails in order">
    <table class="w-full">
      <thead>
        <tr class="border-b border-line text-left align-bottom">
          <th class="w-24 px-3"><span class="sr-only">place</span></th>
          <th v-for="(column, i) in columns" :key="column.run.id" class="px-3 py-2">
            <span class="flex items-center gap-2 font-semibold">
              <svg viewBox="0 0 16 16" class="size-4" aria-hidden="true">
                <path d="M2 14C1 6 6 2 14 2c0 8-4 13-12 12z" :fill="RUN_LOOKS[i]!.color" />
              </svg>
              {{ column.name }}
            </span>
            <span class="note font-normal">
              {{ column.run.purpose.toLowerCase().replace('_', '-') }} · v{{
                column.run.journeyVersion
              }}
              · {{ column.run.people.toLocaleString('en-US') }} people
            </span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row" class="border-b border-line2">
          <th scope="row" class="px-3 text-left font-normal text-ink2">
            {{ ORDINALS[row - 1] ?? `${row}th` }} email
          </th>
          <td v-for="(column, i) in columns" :key="column.run.id" class="px-3 py-1.5">
            <template v-for="one in [cell(column, row - 1)]" :key="row">
              <span
                v-if="one"
                class="grid grid-cols-[44px_minmax(60px,1fr)_104px_44px] items-center gap-2"
              >
                <span class="figure text-[11.5px] text-ink2">{{ percent(one.reach.value) }}</span>
                <span class="min-w-0">
                  <span class="block truncate text-[11.5px] text-ink2" :title="one.name">{{
                    one.name
                  }}</span>
                  <span class="relative block h-2" :title="`95% interval ${interval(one.share)}`">
                    <span class="absolute inset-y-[3px] w-full rounded-full bg-line2" />
                    <span
                      v-if="one.share.low !== null && one.share.high !== null"
                      class="absolute inset-y-[2px] rounded-full opacity-40"
                      :style="{
                        left: `${one.share.low * 100}%`,
                        width: `${Math.max(0.6, (one.share.high - one.share.low) * 100)}%`,
                        background: RUN_LOOKS[i]!.color,
                      }"
                    />
                    <span
                      v-if="one.share.value !== null"
                      class="absolute top-0 -ml-1 size-2 rounded-full"
                      :style="{
                        left: `${one.share.value * 100}%`,
                        background: RUN_LOOKS[i]!.color,
                      }"
                    />
                  </span>
                </span>
                <span class="figure whitespace-nowrap text-right">
                  <b>{{ points(one.share.value, 1) }}</b>
                  <span class="ml-1 text-[11px] text-ink2">{{ margin(one.share) }}</span>
                </span>
                <span class="figure text-[11.5px] text-ink2">
                  {{ one.first ? '' : change(one.before) }}
                </span>
              </span>
              <span v-else class="text-ink2">–</span>
            </template>
          </td>
        </tr>
        <tr class="bg-sunk">
          <th scope="row" class="px-3 text-left font-normal text-ink2">whole run</th>
          <td v-for="column in columns" :key="column.run.id" class="px-3 py-2">
            <template v-if="column.goal">
              <b class="font-display text-[16px]">{{ percent(column.goal.value, 1) }}</b>
              <span class="figure ml-1.5 text-[12px] text-ink2"
                >{{ margin(column.goal) }} goal met</span
              >
            </template>
            <span v-else class="text-ink2">no goal</span>
            <span class="figure ml-3 text-[12px] text-ink2"
              >{{ percent(column.left.value, 1) }} left</span
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p class="note px-3 py-2">
      In each cell: share of the run that got this email · its figure with half of its 95% interval
      · change from the email before, in points.
    </p>
  </div>
</template>
