<script setup lang="ts">
import { ref, useId } from 'vue'

/** Something that cannot be undone: asked for, its consequences said, and only then done. */
defineProps<{ ask: string; does: string; keeps: string; busy?: boolean }>()
const emit = defineEmits<{ sure: [] }>()

const id = useId()
const asked = ref(false)
</script>

<template>
  <div v-if="asked" class="warning mt-auto" role="alertdialog" :aria-labelledby="id">
    <p :id="id"><slot name="consequences" /> This cannot be taken back.</p>
    <p class="mt-2 flex gap-2">
      <button type="button" class="button button-small" :disabled="busy" @click="emit('sure')">
        {{ does }}
      </button>
      <button type="button" class="button button-small" @click="asked = false">{{ keeps }}</button>
    </p>
  </div>
  <p v-else class="note mt-auto flex gap-3">
    <slot />
    <button type="button" class="underline" @click="asked = true">{{ ask }}</button>
  </p>
</template>
