<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { computed, useId } from 'vue'
import { useLibrary } from '../useLibrary'

/** A name of some kind: any text, with those that the account already knows on offer. */
const props = defineProps<{ value: string; type: string; label: string }>()
const emit = defineEmits<{ change: [value: string] }>()

const { knownNames } = useLibrary()
const id = useId()
const known = computed(() => knownNames(props.type))

function set(event: Event) {
  const text = (event.target as HTMLInputElement).value.trim()
  if (text) emit('change', text)
}
</script>

<template>
  <span class="inline-block">
    <DraftInput
      class="field w-40!"
      :value="value"
      :list="id"
      maxlength="80"
      :aria-label="label"
      @change="set"
    />
    <datalist :id="id"><option v-for="name in known" :key="name" :value="name" /></datalist>
  </span>
</template>
