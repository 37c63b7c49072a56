<script setup lang="ts">
import { ref } from 'vue'

/**
 * An input whose value comes from elsewhere and is given back on change. What is being typed stays,
 * even when the page is drawn anew meanwhile: a plain bound value would be put back.
 */
defineProps<{ value: string | number | null | undefined }>()

const draft = ref<string | null>(null)
</script>

<template>
  <input
    :value="draft ?? value"
    @input="draft = ($event.target as HTMLInputElement).value"
    @change="draft = null"
    @blur="draft = null"
  />
</template>
