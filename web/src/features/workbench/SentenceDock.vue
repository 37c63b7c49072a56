<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, ref, useTemplateRef } from 'vue'
import type { UnderstoodView } from '@/api/types'
import DropMenu, { type MenuChoice } from '@/ui/DropMenu.vue'
import { findArm, findStep, insertAfter, START } from './edits'
import { useJourneyStore } from './journeyStore'
import { useLibrary } from './useLibrary'
import NewMessage from './NewMessage.vue'
import { newStep, STEP_KINDS, type StepKind } from './newSteps'
import TypedLine from './typing/TypedLine.vue'
import type { Details } from './useArrangements'
import { SERIES, useSeries, type SeriesAction } from './useSeries'

/** Where new steps are written: a line to type into, and a list to choose from. */
const props = defineProps<{
  /** The row that new steps come below; null for the end. */
  below: string | null
  /** Where that is, in words. */
  place: string
  /** How many steps have been copied and can be put in. */
  copied: number
}>()
const emit = defineEmits<{
  /** A row, and what the next line comes below. */
  added: [row: string, next: string]
  series: [action: SeriesAction, details: Details]
  leave: []
}>()

const store = useJourneyStore()
const library = useLibrary()
const { journey } = storeToRefs(store)
const line = useTemplateRef<InstanceType<typeof TypedLine>>('line')
/** The kind of step that a message is being written for. */
const writing = ref<StepKind | null>(null)

const KINDS: MenuChoice[] = STEP_KINDS.map((kind) => ({
  id: kind.kind,
  name: kind.name,
  note: kind.does,
}))
/** Sentences that only need their figures and names to be put right. */
const BEGUN: MenuChoice[] = [
  { id: 'leave when they bought anything', name: 'A rule to leave by' },
  { id: 'goal bought anything within 30 days, leave when met', name: 'The goal' },
  { id: 'secondary goal bought anything within 60 days', name: 'A secondary goal' },
  { id: 'send only Mon to Fri 08:00 to 18:00', name: 'When emails may go out' },
]

const known = computed(() => {
  const here = props.below
  if (!journey.value || !here) return null
  return here === START || findStep(journey.value, here) || findArm(journey.value, here)
    ? here
    : null
})

const { details } = useSeries()

async function choose(id: string) {
  if (BEGUN.some((one) => one.id === id)) line.value?.focus(id)
  else if (SERIES.some((one) => one.id === id)) emit('series', ...(await details(id)))
  else add(id as StepKind)
}

function add(kind: StepKind) {
  if (!journey.value) return
  const step = newStep(kind, journey.value, known.value, {
    messages: library.messages.value,
    strands: library.strands.value.map((one) => one.id),
    journeys: library.otherJourneys.value,
  })
  writing.value = step === null ? kind : null
  if (!step) return
  store.edit(`add ${step.kind}`, (before) => insertAfter(before, known.value, step))
  emit('added', step.id, step.id)
}

function understood(result: UnderstoodView) {
  store.edit('add sentence', () => result.journey, result.sheet)
  emit('added', result.selected, result.below)
}

defineExpose({ focus: (begin?: string) => line.value?.focus(begin) })
</script>

<template>
  <div class="rounded-b-panel border-t border-line bg-sunk px-3 pt-1.5 pb-1">
    <NewMessage
      v-if="writing"
      class="mb-2 bg-panel!"
      :kind="writing === 'sendText' ? 'text' : 'email'"
      @added="add(writing)"
      @cancel="writing = null"
    />
    <div class="flex items-center gap-2">
      <span class="note min-w-0 truncate">{{ place }}</span>
      <DropMenu
        class="ml-auto"
        label="Choose"
        :groups="store.ofStrand ? [KINDS, SERIES] : [KINDS, SERIES, BEGUN]"
        small
        @choose="choose"
        >Choose</DropMenu
      >
    </div>
    <TypedLine
      ref="line"
      :row="below ?? 'end'"
      label="Add a sentence"
      placeholder="send …, wait 2 days, if they opened it …, tag …"
      @understood="understood"
      @cancel="emit('leave')"
    >
      <template v-if="copied"
        >{{ copied === 1 ? '1 step is' : `${copied} steps are` }} copied; <kbd>Ctrl V</kbd> puts
        {{ copied === 1 ? 'it' : 'them' }} here.
      </template>
      <template v-else>Type what happens next, or choose it. <kbd>?</kbd> shows all keys.</template>
    </TypedLine>
  </div>
</template>
