<script setup lang="ts">
import type { Row } from '@/api/types'

defineProps<{ kind: Row['kind'] }>()
</script>

<template>
  <svg viewBox="0 0 16 16" class="size-4 shrink-0" aria-hidden="true">
    <path v-if="kind === 'SEND'" d="M2 14C1 6 6 2 14 2c0 8-4 13-12 12z" fill="#143d30" />
    <g v-else-if="kind === 'WAIT'" fill="#143d30">
      <circle v-for="x in [2.5, 6.2, 9.9, 13.6]" :key="x" :cx="x" cy="8" r="1.100" />
    </g>
    <rect v-else-if="kind === 'BRANCH'" x="6" y="1" width="4" height="14" rx="2" fill="#143d30" />
    <path
      v-else-if="kind === 'CHANGE'"
      d="M2 3h8l4 5-4 5H2z"
      fill="#e9dbec"
      stroke="#6b3e75"
      stroke-width="1.200"
    />
    <g v-else-if="kind === 'FINISH'" fill="none" stroke="#143d30" stroke-width="1.400">
      <circle cx="8" cy="8" r="5.500" />
      <path d="M5.500 8h5" />
    </g>
    <path v-else d="M3 2v7h9M9.500 6l3 3-3 3" fill="none" stroke="#2e7258" stroke-width="1.400" />
  </svg>
</template>
