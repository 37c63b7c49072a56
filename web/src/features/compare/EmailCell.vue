<script setup lang="ts">
import { computed } from 'vue'
import type { ComparedCell } from '@/api/types'
import { change, interval, margin, percent, points } from '@/ui/figures'

/** One message of one run: who got it, the measure with its interval, and how it stands. */
const props = defineProps<{ cell: ComparedCell; color: string; scale: number }>()

const VERDICTS = { DIFFERENCE: 'differs', COULD_BE_CHANCE: 'chance', TOO_FEW: 'too few' }

const digits = computed(() => (props.scale < 0.1 ? 2 : 1))
const at = (share: number | null) => `${Math.min(100, ((share ?? 0) / props.scale) * 100)}%`
const width = computed(() => {
  const { low, high } = props.cell.share
  return low === null || high === null ? '0' : at(high - low)
})
</script>

<template>
  <span class="grid grid-cols-[1fr_auto] items-start gap-x-2">
    <span class="min-w-0">
      <span class="block truncate text-fine text-ink2" :title="cell.name">{{ cell.name }}</span>
      <span class="flex items-center gap-1.5">
        <span class="figure w-9 text-tiny text-ink2" title="share of the run that got here">{{
          percent(cell.reach.value)
        }}</span>
        <span
          class="relative block h-2 flex-1"
          :title="`95% interval ${interval(cell.share, digits)}`"
        >
          <span class="absolute inset-y-0.75 w-full rounded-full bg-line2" />
          <span
            v-if="cell.share.low !== null"
            class="absolute inset-y-0.5 min-w-0.75 rounded-full opacity-40"
            :style="{ left: at(cell.share.low), width, background: color }"
          />
          <span
            v-if="cell.share.value !== null"
            class="absolute top-0 -ml-1 size-2 rounded-full"
            :style="{ left: at(cell.share.value), background: color }"
          />
        </span>
      </span>
    </span>
    <span class="figure grid grid-cols-[78px_52px] text-right">
      <span class="whitespace-nowrap">
        <b>{{ points(cell.share.value, digits) }}</b>
        <span class="ml-1 text-tiny text-ink2">{{ margin(cell.share, digits) }}</span>
      </span>
      <span
        class="text-tiny leading-3.5 text-ink2"
        :title="cell.against?.sentence ?? 'change from the message before, in points'"
      >
        <template v-if="cell.against">
          <b class="text-ink" :class="{ 'font-normal': cell.against.kind !== 'DIFFERENCE' }">{{
            change(cell.against.points, digits)
          }}</b>
          <span class="block font-sans">{{ VERDICTS[cell.against.kind] }}</span>
        </template>
        <span v-else-if="cell.before !== null">{{ change(cell.before, digits) }}</span>
      </span>
    </span>
  </span>
</template>
