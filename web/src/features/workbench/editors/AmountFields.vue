<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import type { AmountDocument } from '@/api/types'

const props = defineProps<{ amount: AmountDocument; label: string }>()
const emit = defineEmits<{ change: [amount: AmountDocument] }>()

const UNITS = ['MINUTES', 'HOURS', 'DAYS', 'WEEKS', 'MONTHS', 'YEARS', 'WORKING_DAYS'] as const

function setCount(event: Event) {
  const count = (event.target as HTMLInputElement).valueAsNumber
  if (Number.isFinite(count)) emit('change', { ...props.amount, count })
}

function setUnit(event: Event) {
  const unit = (event.target as HTMLSelectElement).value as AmountDocument['unit']
  emit('change', { ...props.amount, unit })
}
</script>

<template>
  <span class="inline-flex gap-1.5">
    <DraftInput
      type="number"
      class="field figure w-20!"
      min="0"
      step="any"
      :value="amount.count"
      :aria-label="`${label}: how many`"
      @change="setCount"
    />
    <select
      class="field w-28!"
      :value="amount.unit"
      :aria-label="`${label}: unit`"
      @change="setUnit"
    >
      <option v-for="unit in UNITS" :key="unit" :value="unit">
        {{ unit.toLowerCase().replace('_', ' ') }}
      </option>
    </select>
  </span>
</template>
