<script setup lang="ts">
import type { InlineDocument } from '@/api/types'
import { chipText, mayBeHole, targetWords } from './words'

/** Words as they were written, with fields as chips; not edited. */
defineProps<{ words: InlineDocument[] }>()
</script>

<template>
  <template v-for="(one, i) in words" :key="i">
    <br v-if="one.kind === 'break'" />
    <span
      v-else-if="one.kind === 'field'"
      class="merge-chip"
      :class="{ 'merge-chip-hole': mayBeHole(one.field) }"
      >{{ chipText(one.field) }}</span
    >
    <span
      v-else
      :class="{ 'font-semibold': one.bold, italic: one.italic, 'prose-link': one.link }"
      :title="one.link ? targetWords(one.link.to) : undefined"
      >{{ one.text }}</span
    >
  </template>
</template>
