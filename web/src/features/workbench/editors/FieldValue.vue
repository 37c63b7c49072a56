<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { computed } from 'vue'
import { useJourneyStore } from '../journeyStore'
import { useLibrary } from '../useLibrary'
import NameField from './NameField.vue'
import type { Shape, Value } from './shapes'
import { choiceWords } from './words'

/** Edits a single value: a name, a text, a number, a date, a choice. */
const props = defineProps<{
  shape: Shape
  /** What it names, if it is a name. */
  type: string | null
  value: Value
  label: string
  emails: string[]
}>()
const emit = defineEmits<{ change: [value: Value] }>()

const store = useJourneyStore()
const { messages, strands } = useLibrary()
const INPUTS = { date: 'date', clock: 'time' } as Record<string, string>

/** What is on offer where only some values make sense; null where any text does. */
const offered = computed<{ value: string; name: string }[] | null>(() => {
  const value = String(props.value)
  const known = (all: { value: string; name: string }[]) =>
    all.some((one) => one.value === value) ? all : [{ value, name: `${value} (missing)` }, ...all]
  if (props.shape.type === 'choice') {
    return props.shape.values.map((one) => ({ value: one, name: choiceWords(one) }))
  }
  if (props.type === 'MessageId') {
    return known(messages.value.map((one) => ({ value: one.id, name: one.name })))
  }
  if (props.type === 'StrandId') {
    return known(strands.value.map((one) => ({ value: one.id, name: one.name })))
  }
  if (props.type === 'StepId') {
    const ids = props.emails.length > 0 ? props.emails : store.stepIds
    return known(ids.map((id) => ({ value: id, name: store.nameOfStep(id) })))
  }
  return null
})
const isName = computed(() => props.type !== null && props.type.endsWith('Name'))

function set(event: Event) {
  const input = event.target as HTMLInputElement
  if (props.shape.type === 'number') {
    if (Number.isFinite(input.valueAsNumber)) emit('change', input.valueAsNumber)
  } else if (input.value.trim()) emit('change', input.value.trim())
}
</script>

<template>
  <label v-if="shape.type === 'truth'" class="flex items-center gap-1.5">
    <input
      type="checkbox"
      :checked="value as boolean"
      @change="emit('change', ($event.target as HTMLInputElement).checked)"
    />
    {{ label }}
  </label>
  <select
    v-else-if="offered"
    class="field w-auto! max-w-56"
    :value="value"
    :aria-label="label"
    @change="emit('change', ($event.target as HTMLSelectElement).value)"
  >
    <option v-for="one in offered" :key="one.value" :value="one.value">{{ one.name }}</option>
  </select>
  <NameField
    v-else-if="isName"
    :type="type!"
    :value="value as string"
    :label="label"
    @change="emit('change', $event)"
  />
  <DraftInput
    v-else
    :type="shape.type === 'number' ? 'number' : (INPUTS[shape.type] ?? 'text')"
    :step="shape.type === 'number' ? 'any' : undefined"
    class="field"
    :class="{
      'figure w-20!': shape.type === 'number',
      'figure w-36!': shape.type === 'date',
      'figure w-28!': shape.type === 'clock',
      'w-56!': ['text', 'zone', 'sender'].includes(shape.type),
    }"
    :list="shape.type === 'sender' ? 'senders' : undefined"
    :value="value as string"
    :aria-label="label"
    maxlength="500"
    @change="set"
  />
</template>
