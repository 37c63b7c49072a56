<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'

/** Asks before several steps go. */
defineProps<{ steps: number }>()
const emit = defineEmits<{ remove: []; cancel: [] }>()
const first = useTemplateRef<HTMLButtonElement>('first')
onMounted(() => first.value?.focus())
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-2 border-b border-line bg-clay-soft px-3 py-2"
    role="group"
    aria-label="Remove these steps?"
    @keydown.esc.stop="emit('cancel')"
  >
    <b class="text-clay">Remove?</b>
    <button ref="first" type="button" class="button button-small" @click="emit('remove')">
      The chosen rows and all inside them ({{ steps === 1 ? '1 step' : `${steps} steps` }})
    </button>
    <button type="button" class="button button-small" @click="emit('cancel')">Keep</button>
  </div>
</template>
