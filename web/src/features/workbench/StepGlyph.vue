<script setup lang="ts">
import type { Row } from '@/api/types'

defineProps<{ kind: Row['kind'] }>()
</script>

<template>
  <svg viewBox="0 0 16 16" class="size-4 shrink-0" aria-hidden="true">
    <path v-if="kind === 'SEND'" d="M2 14C1 6 6 2 14 2c0 8-4 13-12 12z" fill="var(--color-pine)" />
    <g v-else-if="kind === 'WAIT'" fill="var(--color-pine)">
      <circle v-for="x in [2.5, 6.2, 9.9, 13.6]" :key="x" :cx="x" cy="8" r="1.100" />
    </g>
    <rect
      v-else-if="kind === 'BRANCH'"
      x="6"
      y="1"
      width="4"
      height="14"
      rx="2"
      fill="var(--color-pine)"
    />
    <path
      v-else-if="kind === 'CHANGE'"
      d="M2 3h8l4 5-4 5H2z"
      fill="var(--color-plum-soft)"
      stroke="var(--color-plum)"
      stroke-width="1.200"
    />
    <g v-else-if="kind === 'FINISH'" fill="none" stroke="var(--color-pine)" stroke-width="1.400">
      <circle cx="8" cy="8" r="5.500" />
      <path d="M5.500 8h5" />
    </g>
    <rect
      v-else-if="kind === 'TEXT'"
      x="1.700"
      y="3"
      width="12.600"
      height="9"
      rx="2.500"
      fill="none"
      stroke="var(--color-pine)"
      stroke-width="1.600"
    />
    <g v-else-if="kind === 'SPLIT'" stroke="var(--color-pine)">
      <rect x="5.500" y="1.500" width="5" height="13" rx="2" fill="none" stroke-width="1.200" />
      <path d="M8 3v10" stroke-width="1.800" stroke-dasharray="2 2" />
    </g>
    <g v-else-if="kind === 'INCLUDE'" fill="none" stroke-width="1.400">
      <rect x="2" y="2" width="12" height="12" rx="3" stroke="var(--color-pine)" />
      <path d="M5 11c1-6 5 0 6-6" stroke="var(--color-vine)" />
    </g>
    <path
      v-else-if="kind === 'HAND_OVER'"
      d="M1.500 6h6V3l6.500 5-6.500 5v-3h-6z"
      fill="var(--color-slate-soft)"
      stroke="var(--color-slate)"
      stroke-width="1.200"
    />
    <path
      v-else-if="kind === 'NOTIFY'"
      d="M8 2l6 6-6 6-6-6z"
      fill="var(--color-slate-soft)"
      stroke="var(--color-slate)"
      stroke-width="1.200"
    />
    <path
      v-else
      d="M3 2v7h9M9.500 6l3 3-3 3"
      fill="none"
      stroke="var(--color-vine)"
      stroke-width="1.400"
    />
  </svg>
</template>
