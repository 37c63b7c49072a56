<script setup lang="ts">
import { computed } from 'vue'
import type { Column } from '@/api/types'
import { margin, percent } from '@/ui/figures'
import EmailCell from './EmailCell.vue'
import type { Measure } from './measures'
import { RUN_LOOKS } from './palette'

const props = defineProps<{ columns: Column[]; measure: Measure }>()

const ORDINALS = ['1st', '2nd', '3rd']
const rows = computed(() => Math.max(0, ...props.columns.map((column) => column.places.length)))
</script>

<template>
  <div class="overflow-auto" tabindex="0" role="group" aria-label="Emails in order">
    <table class="w-full table-fixed" :class="{ 'min-w-[1500px]': columns.length > 4 }">
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
            <EmailCell
              v-if="column.places[row - 1]"
              :place="column.places[row - 1]!"
              :name="column.emailNames[row - 1] ?? ''"
              :measure="measure"
              :color="RUN_LOOKS[i]!.color"
            />
            <span v-else class="text-ink2">–</span>
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
              >{{ percent(column.left.value, 1) }} left without it</span
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
