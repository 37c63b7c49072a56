<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { computed } from 'vue'
import type { SplitStep } from '@/api/types'
import { freshId } from '../edits'
import { useJourneyStore } from '../journeyStore'

const props = defineProps<{ step: SplitStep }>()
const emit = defineEmits<{ change: [step: SplitStep] }>()

const store = useJourneyStore()
const letter = (i: number) => String.fromCharCode(65 + i)
const total = computed(() => props.step.arms.reduce((sum, arm) => sum + arm.percent, 0))

function setPercent(index: number, event: Event) {
  const percent = (event.target as HTMLInputElement).valueAsNumber
  if (!Number.isFinite(percent)) return
  const arms = props.step.arms.with(index, { ...props.step.arms[index]!, percent })
  if (arms.length === 2) {
    const other = 1 - index
    arms[other] = { ...arms[other]!, percent: Math.max(0, 100 - percent) }
  }
  emit('change', { ...props.step, arms })
}

function add() {
  if (!store.journey) return
  const id = freshId(store.journey, `${props.step.id}-arm`)
  emit('change', { ...props.step, arms: [...props.step.arms, { id, percent: 0, steps: [] }] })
}
</script>

<template>
  <div class="flex flex-col gap-2.5">
    <div v-for="(arm, i) in step.arms" :key="arm.id" class="flex items-center gap-2">
      <span class="chip border-vine-soft bg-vine-soft font-semibold text-pine" aria-hidden="true">
        {{ letter(i) }}
      </span>
      <DraftInput
        type="number"
        class="field figure w-20! text-right"
        min="0"
        max="100"
        step="any"
        :value="arm.percent"
        :aria-label="`Share of arm ${letter(i)}, percent`"
        @change="setPercent(i, $event)"
      />
      <span class="text-ink2">% of the people</span>
      <button
        v-if="step.arms.length > 2"
        type="button"
        class="button button-small"
        @click="emit('change', { ...step, arms: step.arms.toSpliced(i, 1) })"
      >
        Remove arm{{ arm.steps.length ? ` and its ${arm.steps.length} steps` : '' }}
      </button>
    </div>
    <div class="flex items-center gap-3">
      <button type="button" class="button button-small" @click="add">Add an arm</button>
      <span class="note">
        Lots decide; the shares make {{ Number(total.toFixed(4)) }}%, and must make 100%.
      </span>
    </div>
  </div>
</template>
