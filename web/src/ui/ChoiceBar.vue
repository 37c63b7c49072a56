<script setup lang="ts" generic="Key extends string">
/** A row of buttons of which one is chosen. */
defineProps<{ label: string; choices: readonly { key: Key; name: string }[] }>()
const chosen = defineModel<Key>({ required: true })
</script>

<template>
  <span class="inline-flex" role="group" :aria-label="label">
    <button
      v-for="one in choices"
      :key="one.key"
      type="button"
      class="border border-line px-2.5 py-1 whitespace-nowrap not-first:border-l-0 first:rounded-l-md last:rounded-r-md"
      :class="chosen === one.key ? 'bg-pine font-semibold text-white' : 'bg-panel hover:bg-sunk'"
      :aria-pressed="chosen === one.key"
      @click="chosen = one.key"
    >
      {{ one.name }}
    </button>
  </span>
</template>
