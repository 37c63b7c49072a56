<script setup lang="ts">
defineProps<{ value: number | null | undefined }>()
</script>

<template>
  <span class="block h-1.5 overflow-hidden rounded-full bg-line2" aria-hidden="true">
    <span class="block h-full rounded-full bg-vine" :style="{ width: `${(value ?? 0) * 100}%` }" />
  </span>
</template>
