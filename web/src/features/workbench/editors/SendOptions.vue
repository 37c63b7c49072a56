<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import type { SendStep } from '@/api/types'
import { freshId } from '../edits'
import { useJourneyStore } from '../journeyStore'
import PartEditor from './PartEditor.vue'
import { part } from './shapes'

/** What an email can do besides being sent: only to some, in versions, once, untracked. */
const props = defineProps<{ step: SendStep; emails: string[] }>()
const emit = defineEmits<{ change: [step: SendStep] }>()

type Variant = SendStep['variants'][number]

const store = useJourneyStore()
const TEXTS = [
  { field: 'preview', name: 'Preview text' },
  { field: 'sender', name: 'Sender' },
] as const
const BOXES = [
  { field: 'oncePerPerson', name: 'never the same email twice to one person' },
  { field: 'untracked', name: 'opens not tracked' },
  { field: 'linkParameters', name: 'campaign parameters (UTM) on links' },
] as const

function set(change: Partial<SendStep>) {
  emit('change', { ...props.step, ...change })
}

function text(event: Event): string | null {
  return (event.target as HTMLInputElement).value.trim() || null
}

function startTest() {
  if (!store.journey) return
  const id = freshId(store.journey, `${props.step.id}-version`)
  const { message, subject } = props.step
  set({
    variants: [
      { id, message, subject, percent: 50 },
      { id: `${id}b`, message, subject, percent: 50 },
    ],
  })
}

function setVariant(index: number, change: Partial<Variant>) {
  const variants = props.step.variants.with(index, { ...props.step.variants[index]!, ...change })
  set({ variants })
}

function percent(event: Event): number {
  return (event.target as HTMLInputElement).valueAsNumber || 0
}
</script>

<template>
  <div class="flex flex-col gap-2">
    <PartEditor
      :schema="{ anyOf: [part('Condition'), { type: 'null' }] }"
      :value="step.onlyIf"
      label="only send if they"
      :emails="emails"
      @change="set({ onlyIf: $event as SendStep['onlyIf'] })"
    />
    <PartEditor
      :schema="{ anyOf: [part('SendWindow'), { type: 'null' }] }"
      :value="step.window"
      label="sent only at other times than the journey says"
      :emails="[]"
      @change="set({ window: $event as SendStep['window'] })"
    />
    <div class="flex flex-wrap gap-x-5 gap-y-1.5">
      <label v-for="box in BOXES" :key="box.field" class="flex items-center gap-1.5">
        <input
          type="checkbox"
          :checked="step[box.field]"
          @change="set({ [box.field]: ($event.target as HTMLInputElement).checked })"
        />
        {{ box.name }}
      </label>
    </div>
    <div class="grid grid-cols-2 gap-x-4">
      <label v-for="one in TEXTS" :key="one.field">
        <span class="label">{{ one.name }} for this send</span>
        <DraftInput
          class="field"
          :value="step[one.field] ?? ''"
          :list="one.field === 'sender' ? 'senders' : undefined"
          maxlength="120"
          @change="set({ [one.field]: text($event) })"
        />
      </label>
    </div>
    <button
      v-if="step.variants.length === 0"
      type="button"
      class="button button-small self-start"
      @click="startTest"
    >
      Test two versions against each other
    </button>
    <fieldset v-else class="flex flex-col gap-1.5 rounded-lg bg-sunk p-2">
      <legend class="sr-only">Versions</legend>
      <div v-for="(variant, i) in step.variants" :key="variant.id" class="flex items-center gap-2">
        <PartEditor
          :schema="part('MessageId')"
          :value="variant.message"
          :label="`Message of version ${i + 1}`"
          :emails="[]"
          @change="setVariant(i, { message: $event as string })"
        />
        <DraftInput
          class="field flex-1"
          :value="variant.subject ?? ''"
          placeholder="the message’s own subject"
          maxlength="200"
          :aria-label="`Subject of version ${i + 1}`"
          @change="setVariant(i, { subject: text($event) })"
        />
        <DraftInput
          type="number"
          class="field figure w-20! text-right"
          min="0"
          max="100"
          step="any"
          :value="variant.percent"
          :aria-label="`Share of version ${i + 1}, percent`"
          @change="setVariant(i, { percent: percent($event) })"
        />
        <span class="text-ink2">%</span>
      </div>
      <button type="button" class="button button-small self-start" @click="set({ variants: [] })">
        End the test
      </button>
    </fieldset>
  </div>
</template>
