<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { computed, useId } from 'vue'
import { useJourneyStore } from '../journeyStore'

/** A tag's or list's name: any text, with those that the journey already knows on offer. */
const props = defineProps<{ value: string; what: 'tag' | 'list'; label?: string }>()
const emit = defineEmits<{ change: [value: string] }>()

const store = useJourneyStore()
const id = useId()

const known = computed(() => {
  const text = JSON.stringify([store.journey, store.view?.behaviour.groups])
  const found = [...text.matchAll(new RegExp(`"${props.what}":"((?:[^"\\\\]|\\\\.)*)"`, 'g'))]
  return [...new Set(found.map((match) => JSON.parse(`"${match[1]}"`) as string))].sort()
})

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
      :aria-label="label ?? (what === 'tag' ? 'Tag' : 'List')"
      @change="set"
    />
    <datalist :id="id"><option v-for="name in known" :key="name" :value="name" /></datalist>
  </span>
</template>
