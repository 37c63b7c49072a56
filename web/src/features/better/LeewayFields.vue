<script setup lang="ts">
import type { Leeway } from '@/api/types'

/** How far something varies: from, to, and in what steps. */
const props = defineProps<{ leeway: Leeway; name: string }>()
const emit = defineEmits<{ change: [leeway: Leeway] }>()

interface Field {
  key: string
  name: string
  value: string | number
  type: 'number' | 'time'
  min?: number
  max?: number
  step?: number | 'any'
}

function fields(): Field[] {
  const given = props.leeway
  if (given.kind === 'length') {
    return [
      { key: 'from', name: 'from', value: given.from, type: 'number', min: 0, step: 'any' },
      { key: 'to', name: 'to', value: given.to, type: 'number', min: 0, step: 'any' },
      { key: 'by', name: 'by', value: given.by, type: 'number', min: 0, step: 'any' },
    ]
  }
  if (given.kind === 'tries') {
    return [
      { key: 'from', name: 'from', value: given.from, type: 'number', min: 0, max: 3 },
      { key: 'to', name: 'to', value: given.to, type: 'number', min: 0, max: 3 },
    ]
  }
  if (given.kind === 'clockTime') {
    return [
      { key: 'from', name: 'from', value: given.from, type: 'time' },
      { key: 'to', name: 'to', value: given.to, type: 'time' },
      { key: 'byMinutes', name: 'minutes', value: given.byMinutes, type: 'number', min: 5 },
    ]
  }
  if (given.kind === 'weights') {
    return [{ key: 'by', name: 'by %', value: given.by, type: 'number', min: 5, max: 50 }]
  }
  return []
}

function set(field: Field, event: Event) {
  const text = (event.target as HTMLInputElement).value
  if (text === '') return
  const value = field.type === 'number' ? Number(text) : text
  emit('change', { ...props.leeway, [field.key]: value } as Leeway)
}
</script>

<template>
  <span v-if="fields().length" class="mt-0.5 flex flex-wrap items-center gap-x-1.5 gap-y-1">
    <label v-for="field in fields()" :key="field.key" class="note flex items-center gap-1"
      >{{ field.name }}
      <input
        class="field figure min-h-6! py-0!"
        :class="field.type === 'time' ? 'w-23!' : 'w-11! px-1!'"
        :type="field.type"
        :value="field.value"
        :min="field.min"
        :max="field.max"
        :step="field.step"
        :aria-label="`${name}: ${field.name}`"
        @change="set(field, $event)"
      />
    </label>
  </span>
</template>
