<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { computed } from 'vue'
import type { JourneyDocument, TriggerDocument } from '@/api/types'
import { allSteps } from '../edits'
import ConditionEditor from './ConditionEditor.vue'
import GoalsEditor from './GoalsEditor.vue'
import PartEditor from './PartEditor.vue'
import { BOUGHT } from './beginnings'
import { part } from './shapes'

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

const OPTIONS = [
  { field: 'sendWindow', name: 'only in a send window', schema: part('SendWindow') },
  { field: 'frequencyGuard', name: 'with a frequency guard', schema: part('FrequencyGuard') },
  { field: 'zone', name: 'all in one time zone', schema: { type: 'string', format: 'time-zone' } },
  {
    field: 'sender',
    name: 'from a sender of its own',
    schema: { type: 'string', format: 'sender' },
  },
] as const

const INTO = { anyOf: [part('JourneyName'), { type: 'null' }] }

const emails = computed(() =>
  allSteps(props.journey.body)
    .filter((step) => step.kind === 'sendEmail' || step.kind === 'sendText')
    .map((step) => step.id),
)

function set(change: Partial<JourneyDocument>) {
  emit('change', { ...props.journey, ...change })
}

function setTrigger(index: number, trigger: TriggerDocument) {
  set({ triggers: props.journey.triggers.with(index, trigger) })
}

function setRule(index: number, rule: JourneyDocument['leaveWhen'][number]) {
  set({ leaveWhen: props.journey.leaveWhen.with(index, rule) })
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
          class="inline-flex items-start gap-1.5"
        >
          <span v-if="i > 0" class="pt-1.5 text-ink2">or</span>
          <PartEditor
            :schema="part('Trigger')"
            :value="trigger"
            label="Trigger"
            :emails="[]"
            @change="setTrigger(i, $event as TriggerDocument)"
          />
          <button
            type="button"
            class="button button-small mt-0.5"
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
      <span class="flex items-center gap-2">
        <span class="w-16 text-ink2">Again</span>
        <PartEditor
          :schema="part('ReEntry')"
          :value="journey.reEntry"
          label="Again"
          :emails="[]"
          @change="set({ reEntry: $event as JourneyDocument['reEntry'] })"
        />
      </span>
    </div>
    <GoalsEditor :journey="journey" :emails="emails" @change="set($event)" />
    <div class="flex items-start gap-2">
      <span class="w-16 pt-1.5 text-ink2">Leaves</span>
      <div class="flex flex-1 flex-col gap-2">
        <span v-for="(rule, i) in journey.leaveWhen" :key="i" class="flex items-start gap-1.5">
          <span class="flex flex-col gap-1.5">
            <ConditionEditor
              :condition="rule.when"
              :emails="emails"
              @change="setRule(i, { ...rule, when: $event })"
            />
            <PartEditor
              :schema="INTO"
              :value="rule.into"
              label="into another journey"
              :emails="[]"
              @change="setRule(i, { ...rule, into: $event as string | null })"
            />
          </span>
          <button
            type="button"
            class="button button-small mt-0.5"
            aria-label="Remove this rule"
            @click="set({ leaveWhen: journey.leaveWhen.toSpliced(i, 1) })"
          >
            Remove rule
          </button>
        </span>
        <button
          type="button"
          class="button button-small self-start"
          @click="set({ leaveWhen: [...journey.leaveWhen, { when: BOUGHT, into: null }] })"
        >
          Add a rule for leaving
        </button>
      </div>
    </div>
    <div class="flex items-start gap-2">
      <span class="w-16 pt-0.5 text-ink2">Sends</span>
      <div class="flex flex-1 flex-col gap-2">
        <PartEditor
          v-for="option in OPTIONS"
          :key="option.field"
          :schema="{ anyOf: [option.schema, { type: 'null' }] }"
          :value="journey[option.field]"
          :label="option.name"
          :emails="[]"
          @change="set({ [option.field]: $event })"
        />
      </div>
    </div>
  </div>
</template>
