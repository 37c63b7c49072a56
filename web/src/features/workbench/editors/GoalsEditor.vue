<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import type { JourneyDocument } from '@/api/types'
import { BOUGHT } from './beginnings'
import ConditionEditor from './ConditionEditor.vue'

/** What the journey is to bring about: the goal, and what else is counted. */
const props = defineProps<{ journey: JourneyDocument; emails: string[] }>()
const emit = defineEmits<{ change: [change: Partial<JourneyDocument>] }>()

const MOST_SECONDARY = 5

function daysIn(event: Event): number | null {
  const days = (event.target as HTMLInputElement).valueAsNumber
  return Number.isInteger(days) ? days : null
}

function setGoal(change: Partial<NonNullable<JourneyDocument['goal']>>) {
  if (props.journey.goal) emit('change', { goal: { ...props.journey.goal, ...change } })
}

function setSecondary(i: number, change: Partial<JourneyDocument['secondaryGoals'][number]>) {
  const goals = props.journey.secondaryGoals
  emit('change', { secondaryGoals: goals.with(i, { ...goals[i]!, ...change }) })
}

/** One more that is none of those there are. */
function addSecondary() {
  const goals = props.journey.secondaryGoals
  const days = Math.max(30, ...goals.map((goal) => goal.withinDays + 1))
  emit('change', { secondaryGoals: [...goals, { what: BOUGHT, withinDays: Math.min(days, 730) }] })
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
    <label class="flex items-center gap-2">
      <input
        type="checkbox"
        :checked="journey.goal !== null"
        @change="
          emit('change', {
            goal: ($event.target as HTMLInputElement).checked
              ? { what: BOUGHT, withinDays: 21, leaveWhenMet: true }
              : null,
          })
        "
      />
      Goal: they
    </label>
    <template v-if="journey.goal">
      <ConditionEditor
        :condition="journey.goal.what"
        :emails="emails"
        @change="setGoal({ what: $event })"
      />
      <label class="flex items-center gap-2">
        within
        <DraftInput
          type="number"
          min="1"
          max="730"
          class="field figure w-20!"
          :value="journey.goal.withinDays"
          @change="setGoal({ withinDays: daysIn($event) ?? journey.goal.withinDays })"
        />
        days
      </label>
      <label class="flex items-center gap-2">
        <input
          type="checkbox"
          :checked="journey.goal.leaveWhenMet"
          @change="setGoal({ leaveWhenMet: ($event.target as HTMLInputElement).checked })"
        />
        leave when met
      </label>
    </template>
  </div>
  <div class="flex items-start gap-2">
    <span class="w-16 pt-1.5 text-ink2">Also</span>
    <div class="flex flex-1 flex-col gap-2">
      <span
        v-for="(goal, i) in journey.secondaryGoals"
        :key="i"
        class="flex flex-wrap items-center gap-2"
        role="group"
        :aria-label="`Secondary goal ${i + 1}`"
      >
        they
        <ConditionEditor
          :condition="goal.what"
          :emails="emails"
          @change="setSecondary(i, { what: $event })"
        />
        <label class="flex items-center gap-2">
          within
          <DraftInput
            type="number"
            min="1"
            max="730"
            class="field figure w-20!"
            :value="goal.withinDays"
            @change="setSecondary(i, { withinDays: daysIn($event) ?? goal.withinDays })"
          />
          days
        </label>
        <button
          type="button"
          class="button button-small"
          @click="emit('change', { secondaryGoals: journey.secondaryGoals.toSpliced(i, 1) })"
        >
          Remove goal
        </button>
      </span>
      <button
        v-if="journey.secondaryGoals.length < MOST_SECONDARY"
        type="button"
        class="button button-small self-start"
        @click="addSecondary"
      >
        Add a secondary goal
      </button>
    </div>
  </div>
</template>
