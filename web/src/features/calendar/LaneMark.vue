<script setup lang="ts">
/** A leaf for what journeys send, a flag for a newsletter; as large as the number, dashed if it is only a draft. */
defineProps<{
  newsletter: boolean
  size: number
  gone: boolean
  sure: boolean
  narrow: boolean
}>()
</script>

<template>
  <svg
    v-if="newsletter"
    viewBox="0 0 26 26"
    :class="narrow ? 'size-3' : 'size-6'"
    fill="var(--color-slate-soft)"
    stroke="var(--color-slate)"
    stroke-width="1.4"
    aria-hidden="true"
  >
    <path d="M2 2v22" stroke-width="2" />
    <path
      d="M2.5 3h21l-6 5.500 6 5.500h-21z"
      :fill="gone ? 'var(--color-slate)' : undefined"
      :stroke-dasharray="sure ? undefined : '2.5 2'"
    />
  </svg>
  <svg
    v-else
    viewBox="0 0 16 20"
    :style="{ height: `${8 + (narrow ? 8 : 14) * size}px` }"
    stroke="var(--color-pine)"
    stroke-width="1"
    :fill="gone ? 'var(--color-vine)' : sure ? 'var(--color-leaf)' : 'var(--color-panel)'"
    :stroke-dasharray="sure ? undefined : '2 2'"
    aria-hidden="true"
  >
    <path
      d="M8 19C1.500 15 1.500 6 8 1c6.500 5 6.500 14 0 18z"
      vector-effect="non-scaling-stroke"
    />
  </svg>
</template>
