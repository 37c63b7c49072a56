<script setup lang="ts">
import { computed } from 'vue'
import type { ArmDocument, BranchStep, ConditionDocument } from '@/api/types'
import { emailsBefore, freshId } from '../edits'
import { useJourneyStore } from '../journeyStore'
import { firstQuestion } from '../newSteps'
import AmountFields from './AmountFields.vue'
import ConditionEditor from './ConditionEditor.vue'

const props = defineProps<{ step: BranchStep }>()
const emit = defineEmits<{ change: [step: BranchStep] }>()

const store = useJourneyStore()
const emails = computed(() => (store.journey ? emailsBefore(store.journey, props.step.id) : []))
const letter = (i: number) => String.fromCharCode(65 + i)

function setCondition(arm: ArmDocument, condition: ConditionDocument) {
  const arms = props.step.arms.map((one) => (one.id === arm.id ? { ...one, condition } : one))
  emit('change', { ...props.step, arms })
}

function addArm() {
  if (!store.journey) return
  const id = freshId(store.journey, `${props.step.id}-arm`)
  const condition = firstQuestion(store.journey, props.step.id)
  emit('change', { ...props.step, arms: [...props.step.arms, { id, condition, steps: [] }] })
}

function removeArm(arm: ArmDocument) {
  emit('change', { ...props.step, arms: props.step.arms.filter((one) => one.id !== arm.id) })
}
</script>

<template>
  <div class="flex flex-col gap-2.5">
    <div class="flex items-center gap-3">
      <label class="flex items-center gap-2">
        <span class="text-ink2">Decide</span>
        <select
          class="field w-40!"
          :value="step.waitUpTo ? 'wait' : 'now'"
          @change="
            emit('change', {
              ...step,
              waitUpTo:
                ($event.target as HTMLSelectElement).value === 'wait'
                  ? { count: 1, unit: 'DAYS' }
                  : null,
            })
          "
        >
          <option value="now">at once</option>
          <option value="wait">waiting up to</option>
        </select>
      </label>
      <AmountFields
        v-if="step.waitUpTo"
        :amount="step.waitUpTo"
        label="Waiting up to"
        @change="emit('change', { ...step, waitUpTo: $event })"
      />
      <button type="button" class="button button-small ml-auto" @click="addArm">Add an arm</button>
    </div>
    <fieldset
      v-for="(arm, i) in step.arms"
      :key="arm.id"
      class="flex items-start gap-2 rounded-lg bg-sunk p-2"
    >
      <legend class="sr-only">Arm {{ letter(i) }}</legend>
      <span
        class="chip mt-1 border-vine-soft bg-vine-soft font-semibold text-pine"
        aria-hidden="true"
      >
        {{ letter(i) }}
      </span>
      <ConditionEditor
        class="flex-1"
        :condition="arm.condition"
        :emails="emails"
        @change="setCondition(arm, $event)"
      />
      <button
        v-if="step.arms.length > 1"
        type="button"
        class="button button-small mt-0.5"
        @click="removeArm(arm)"
      >
        Remove arm{{ arm.steps.length ? ` and its ${arm.steps.length} steps` : '' }}
      </button>
    </fieldset>
    <p class="note">
      The first arm that holds wins; everyone else takes {{ letter(step.arms.length) }}.
    </p>
  </div>
</template>
