<script setup lang="ts">
/** A field with its name above it, and below it what is wrong with it, or what to know. */
defineProps<{ id: string; name: string; wrong?: string; hint?: string }>()
</script>

<template>
  <div>
    <label class="label" :for="id">{{ name }}</label>
    <slot :described="wrong || hint ? `${id}-note` : undefined" />
    <p v-if="wrong" :id="`${id}-note`" class="mt-0.5 text-note text-clay" role="alert">
      {{ wrong }}
    </p>
    <p v-else-if="hint" :id="`${id}-note`" class="note mt-0.5">{{ hint }}</p>
  </div>
</template>
