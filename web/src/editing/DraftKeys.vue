<script setup lang="ts">
/** Whether something is saved that is changed here, and the keys that save it or take it back. */
defineProps<{ changed: boolean; busy: boolean }>()
const emit = defineEmits<{ undo: []; save: [] }>()
</script>

<template>
  <span class="note ml-auto" role="status">{{ changed ? 'Not saved yet' : 'Saved' }}</span>
  <button v-if="changed" type="button" class="button button-small" @click="emit('undo')">
    Undo
  </button>
  <button
    type="button"
    class="button button-main"
    :disabled="busy || !changed"
    @click="emit('save')"
  >
    Save
  </button>
</template>
