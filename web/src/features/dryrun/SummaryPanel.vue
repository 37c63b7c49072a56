<script setup lang="ts">
/** What happened, in sentences. */
defineProps<{ sentences: string[] }>()
</script>

<template>
  <section class="panel shrink-0 px-3.5 py-2 text-plain" aria-label="Summary">
    <p>
      <span v-for="(sentence, i) in sentences" :key="i" :class="{ 'font-semibold': i === 0 }">{{
        sentence + ' '
      }}</span>
    </p>
  </section>
</template>
