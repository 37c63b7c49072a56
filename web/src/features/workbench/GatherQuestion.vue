<script setup lang="ts">
import { ref, useTemplateRef, onMounted } from 'vue'

/** Asks what a strand is to be called that is made of the chosen rows. */
const emit = defineEmits<{ gather: [name: string]; cancel: [] }>()
const name = ref('')
const field = useTemplateRef('field')

onMounted(() => field.value?.focus())

function gather() {
  if (name.value.trim()) emit('gather', name.value.trim())
}
</script>

<template>
  <form
    class="mx-2 rounded-lg bg-slate-soft p-2 mb-1.5 flex flex-wrap items-center gap-2"
    @submit.prevent="gather"
    @keydown.esc="emit('cancel')"
  >
    <label class="flex flex-1 items-center gap-2">
      <span class="whitespace-nowrap">Name of the strand</span>
      <input ref="field" v-model="name" class="field min-w-32" maxlength="80" />
    </label>
    <button type="submit" class="button button-small button-main" :disabled="!name.trim()">
      Make the strand
    </button>
    <button type="button" class="button button-small" @click="emit('cancel')">Cancel</button>
    <span class="note w-full"
      >Other journeys can go through these rows, too. Whoever changes the strand changes them
      all.</span
    >
  </form>
</template>
