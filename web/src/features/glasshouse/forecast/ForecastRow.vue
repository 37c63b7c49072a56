<script setup lang="ts">
import { computed } from 'vue'
import type { ForecastFigure } from '@/api/types'
import { count, margin, points } from '@/ui/figures'
import BandPicture from './BandPicture.vue'

/** A figure as it was forecast and as it came. */
const props = defineProps<{ name: string; figure: ForecastFigure; to: number }>()

const digits = computed(() => (props.to <= 0.1 ? 2 : 1))
const outside = computed(() => ['LOWER', 'HIGHER'].includes(props.figure.verdict))
/** The row says the figures already. */
const verdict = computed(() => props.figure.said.split(':')[0])
</script>

<template>
  <tr class="border-t border-line2">
    <th class="max-w-56 truncate px-3 py-1 text-left font-semibold" scope="row" :title="name">
      {{ name }}
    </th>
    <td class="figure px-2 text-right">{{ count(figure.happened.of) }}</td>
    <td class="figure px-2 text-right whitespace-nowrap text-ink2">
      <template v-if="figure.low !== null && figure.high !== null">
        {{ points(figure.low, digits) }} – {{ points(figure.high, digits) }} %
      </template>
      <template v-else>–</template>
    </td>
    <td class="figure px-2 text-right whitespace-nowrap">
      <b>{{ points(figure.happened.value, digits) }}</b>
      <span class="ml-1.5 text-ink2">{{ margin(figure.happened, digits) }}</span>
    </td>
    <td class="w-44 px-3"><BandPicture :figure="figure" :to="to" /></td>
    <td class="px-3 whitespace-nowrap" :class="outside ? 'text-clay' : 'text-ink2'">
      <span :title="figure.said">{{ verdict }}</span>
    </td>
  </tr>
</template>
