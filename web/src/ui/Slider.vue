<script setup lang="ts">
import DraftInput from './DraftInput.vue'

/** A number that is drawn or typed; it is given on when it is let go or finished. */
const props = defineProps<{
  label: string
  value: number
  min: number
  max: number
  step: number
  unit?: string
  title?: string
}>()
const emit = defineEmits<{ change: [value: number] }>()

function set(event: Event) {
  const value = (event.target as HTMLInputElement).valueAsNumber
  if (Number.isFinite(value)) emit('change', Math.min(props.max, Math.max(props.min, value)))
}
</script>

<template>
  <div class="grid grid-cols-[84px_1fr_58px_14px] items-center gap-1.5">
    <span :title="title" :class="{ 'cursor-help underline decoration-dotted': title }">{{
      label
    }}</span>
    <input
      type="range"
      class="w-full accent-vine"
      :aria-label="`${label}, slider`"
      :min="min"
      :max="max"
      :step="step"
      :value="value"
      @change="set"
    />
    <DraftInput
      type="number"
      class="field figure min-h-6.5! px-1.5! text-right"
      :aria-label="label"
      :min="min"
      :max="max"
      step="any"
      :value="Number(value.toFixed(2))"
      @change="set"
    />
    <span class="text-ink2">{{ unit }}</span>
  </div>
</template>
