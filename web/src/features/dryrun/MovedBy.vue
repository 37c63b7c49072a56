<script setup lang="ts">
import type { MattersRow } from '@/api/types'
import { change } from '@/ui/figures'

/** By how many points the goal moved; pale if that could be chance. */
defineProps<{ moved: MattersRow['lower'] }>()
</script>

<template>
  <span
    v-if="moved"
    :class="{ 'text-ink3': !moved.realDifference }"
    :title="`${change(moved.low, 1)} to ${change(moved.high, 1)}`"
    >{{ change(moved.points, 1) }}</span
  >
</template>
