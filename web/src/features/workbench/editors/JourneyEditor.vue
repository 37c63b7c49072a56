<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import type { JourneyDocument, TriggerDocument } from '@/api/types'
import ConditionEditor from './ConditionEditor.vue'
import NameField from './NameField.vue'

/** Who comes in, how often, and what for. */
const props = defineProps<{ journey: JourneyDocument }>()
const emit = defineEmits<{ change: [journey: JourneyDocument] }>()

const PURPOSES = [
  ['WELCOME', 'welcome'],
  ['NURTURE', 'nurture'],
  ['CART', 'cart'],
  ['DATE_BASED', 'date-based'],
  ['OTHER', 'other'],
] as const

function set(part: Partial<JourneyDocument>) {
  emit('change', { ...props.journey, ...part })
}

function setTrigger(index: number, trigger: TriggerDocument) {
  set({ triggers: props.journey.triggers.with(index, trigger) })
}

function setTriggerKind(index: number, event: Event) {
  const joins = (event.target as HTMLSelectElement).value === 'joinsList'
  setTrigger(
    index,
    joins ? { kind: 'joinsList', list: 'new list' } : { kind: 'getsTag', tag: 'new tag' },
  )
}

function setGoalDays(event: Event) {
  const withinDays = (event.target as HTMLInputElement).valueAsNumber
  if (props.journey.goal && Number.isInteger(withinDays))
    set({ goal: { ...props.journey.goal, withinDays } })
}

function setName(event: Event) {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) set({ name })
}
</script>

<template>
  <div class="flex flex-col gap-2.5">
    <div class="flex items-center gap-3">
      <label class="flex flex-1 items-center gap-2">
        <span class="w-16 text-ink2">Name</span>
        <DraftInput class="field" :value="journey.name" maxlength="80" @change="setName" />
      </label>
      <label class="flex items-center gap-2">
        <span class="text-ink2">Purpose</span>
        <select
          class="field w-32!"
          :value="journey.purpose"
          @change="
            set({
              purpose: ($event.target as HTMLSelectElement).value as JourneyDocument['purpose'],
            })
          "
        >
          <option v-for="[value, name] in PURPOSES" :key="value" :value="value">{{ name }}</option>
        </select>
      </label>
    </div>
    <div class="flex items-start gap-2">
      <span class="w-16 pt-1.5 text-ink2">Starts</span>
      <div class="flex flex-1 flex-wrap items-center gap-2">
        <span
          v-for="(trigger, i) in journey.triggers"
          :key="i"
          class="inline-flex items-center gap-1.5"
        >
          <span v-if="i > 0" class="text-ink2">or</span>
          <select
            class="field w-32!"
            :value="trigger.kind"
            aria-label="Trigger"
            @change="setTriggerKind(i, $event)"
          >
            <option value="joinsList">joins list</option>
            <option value="getsTag">gets tag</option>
          </select>
          <NameField
            v-if="trigger.kind === 'joinsList'"
            what="list"
            :value="trigger.list"
            @change="setTrigger(i, { kind: 'joinsList', list: $event })"
          />
          <NameField
            v-else
            what="tag"
            :value="trigger.tag"
            @change="setTrigger(i, { kind: 'getsTag', tag: $event })"
          />
          <button
            type="button"
            class="button button-small"
            aria-label="Remove this trigger"
            @click="set({ triggers: journey.triggers.toSpliced(i, 1) })"
          >
            Remove
          </button>
        </span>
        <button
          type="button"
          class="button button-small"
          @click="
            set({ triggers: [...journey.triggers, { kind: 'joinsList', list: 'Newcomers' }] })
          "
        >
          Add a trigger
        </button>
      </div>
    </div>
    <div class="flex items-start gap-2">
      <span class="w-16 pt-1.5 text-ink2">Only if</span>
      <ConditionEditor
        v-if="journey.entryFilter"
        :condition="journey.entryFilter"
        :emails="[]"
        @change="set({ entryFilter: $event })"
      />
      <button
        type="button"
        class="button button-small mt-0.5"
        @click="
          set({
            entryFilter: journey.entryFilter
              ? null
              : { kind: 'none', parts: [{ kind: 'onList', list: 'Members' }] },
          })
        "
      >
        {{ journey.entryFilter ? 'Let everyone in' : 'Add an entry filter' }}
      </button>
    </div>
    <div class="flex flex-wrap items-center gap-x-5 gap-y-2">
      <label class="flex items-center gap-2">
        <span class="w-16 text-ink2">Again</span>
        <select
          class="field w-44!"
          :value="journey.reEntry"
          @change="
            set({
              reEntry: ($event.target as HTMLSelectElement).value as JourneyDocument['reEntry'],
            })
          "
        >
          <option value="NEVER">once per person</option>
          <option value="AFTER_HAVING_LEFT">after having left</option>
        </select>
      </label>
      <label class="flex items-center gap-2">
        <input
          type="checkbox"
          :checked="journey.goal !== null"
          @change="
            set({
              goal: ($event.target as HTMLInputElement).checked
                ? { withinDays: 21, leaveWhenMet: true }
                : null,
            })
          "
        />
        Goal: bought
      </label>
      <template v-if="journey.goal">
        <label class="flex items-center gap-2">
          within
          <DraftInput
            type="number"
            min="1"
            max="365"
            class="field figure w-20!"
            :value="journey.goal.withinDays"
            @change="setGoalDays"
          />
          days
        </label>
        <label class="flex items-center gap-2">
          <input
            type="checkbox"
            :checked="journey.goal.leaveWhenMet"
            @change="
              set({
                goal: {
                  ...journey.goal,
                  leaveWhenMet: ($event.target as HTMLInputElement).checked,
                },
              })
            "
          />
          leave when met
        </label>
      </template>
    </div>
  </div>
</template>
