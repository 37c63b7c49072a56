<script setup lang="ts">
import { computed, nextTick, onBeforeUpdate, onUpdated, ref, useTemplateRef } from 'vue'
import { storeToRefs } from 'pinia'
import type { FindingView, Row, StepMeasures } from '@/api/types'
import Sentence from '@/ui/Sentence.vue'
import {
  findArm,
  findStep,
  insertAfter,
  moveStep,
  removalOf,
  removeOnly,
  removeWithRest,
  START,
} from './edits'
import { useJourneyStore } from './journeyStore'
import { newStep, STEP_KINDS, type StepKind } from './newSteps'
import NewMessage from './NewMessage.vue'
import RemoveQuestion from './RemoveQuestion.vue'
import RunSheetRow from './RunSheetRow.vue'

const store = useJourneyStore()
const { view, journey, estimate, selected } = storeToRefs(store)
const list = useTemplateRef<HTMLElement>('list')
const asking = ref<string | null>(null)

const rows = computed<Row[]>(() => view.value?.sheet.rows ?? [])
const measures = computed(() => new Map(estimate.value?.steps.map((step) => [step.id, step])))
const arms = computed(
  () =>
    new Map(estimate.value?.steps.flatMap((step) => step.arms).map((arm) => [arm.id, arm.taken])),
)
/** The kind of step that a message is being written for. */
const writing = ref<StepKind | null>(null)
const stepCount = computed(() => rows.value.filter((row) => row.kind !== 'ARM').length)
const current = computed(() =>
  rows.value.some((row) => row.id === selected.value) ? selected.value : rows.value[0]?.id,
)
const removal = computed(() =>
  asking.value && journey.value ? removalOf(journey.value, asking.value) : null,
)
const askedStep = computed(() =>
  asking.value && journey.value ? findStep(journey.value, asking.value) : null,
)

function reachOf(row: Row): number | null {
  if (row.kind !== 'ARM') return measures.value.get(row.id)?.reach.value ?? null
  const taken = arms.value.get(row.id)
  return taken && estimate.value?.entered ? taken.count / estimate.value.entered : null
}

function measuresOf(row: Row): StepMeasures | null {
  return measures.value.get(row.id) ?? null
}

function findingsOf(row: Row): FindingView[] {
  return view.value?.findings.filter((finding) => finding.step === row.id) ?? []
}

/** What a new step is put below; null for the end of the sheet. */
const anchor = computed(() => {
  const here = selected.value
  if (!journey.value || !here) return null
  const known = here === START || findStep(journey.value, here) || findArm(journey.value, here)
  return known ? here : null
})

function add(kind: StepKind) {
  if (!journey.value) return
  const known = anchor.value
  const step = newStep(kind, journey.value, known, {
    messages: store.messages,
    strands: store.strands.map((one) => one.id),
    journeys: view.value?.otherJourneys ?? [],
  })
  writing.value = step === null ? kind : null
  if (!step) return
  store.edit(`add ${step.kind}`, (before) => insertAfter(before, known, step))
  store.select(step.id)
}

function remove() {
  if (!journey.value || !selected.value) return
  const what = removalOf(journey.value, selected.value)
  if (!what) return
  if (what.inside + what.after > 0) asking.value = selected.value
  else done('only')
}

function done(how: 'only' | 'rest') {
  const id = asking.value ?? selected.value
  asking.value = null
  if (!id) return
  const at = rows.value.findIndex((row) => row.id === id)
  store.edit('remove step', (before) =>
    how === 'only' ? removeOnly(before, id) : removeWithRest(before, id),
  )
  store.select(rows.value[at - 1]?.id ?? null)
  focusRow()
}

function keep() {
  asking.value = null
  focusRow()
}

function move(direction: 'up' | 'down') {
  const id = selected.value
  if (id) store.edit(`move step ${direction}`, (before) => moveStep(before, id, direction))
  focusRow()
}

function go(by: number) {
  const at = rows.value.findIndex((row) => row.id === current.value)
  const next = rows.value[Math.max(0, Math.min(rows.value.length - 1, at + by))]
  if (next) store.select(next.id)
  focusRow()
}

function focusRow() {
  void nextTick(() => {
    list.value?.querySelector<HTMLElement>('[data-row][tabindex="0"]')?.focus()
  })
}

/* A row that moves loses the focus; it gets it back where it has come to. */
let held = false
onBeforeUpdate(() => (held = !!list.value?.contains(document.activeElement)))
onUpdated(() => {
  if (held && document.activeElement === document.body) focusRow()
})

function onKey(event: KeyboardEvent) {
  if (!(event.target as HTMLElement).hasAttribute('data-row')) return
  const direction = { ArrowUp: 'up', ArrowDown: 'down' }[event.key] as 'up' | 'down' | undefined
  if (direction && event.altKey) move(direction)
  else if (direction) go(direction === 'up' ? -1 : 1)
  else if (event.key === 'Delete' || event.key === 'Backspace') remove()
  else return
  event.preventDefault()
}

const isStep = computed(() => !!journey.value && !!findStep(journey.value, selected.value ?? ''))
</script>

<template>
  <section class="panel flex min-h-0 flex-col" aria-labelledby="run-sheet">
    <div class="panel-head">
      <h2 id="run-sheet">Run sheet</h2>
      <span class="note">{{ stepCount === 1 ? '1 step' : `${stepCount} steps` }}</span>
      <span class="ml-auto flex gap-1">
        <button
          type="button"
          class="button button-small"
          :disabled="!isStep"
          title="Move up (Alt ↑)"
          aria-label="Move step up"
          @click="move('up')"
        >
          ↑
        </button>
        <button
          type="button"
          class="button button-small"
          :disabled="!isStep"
          title="Move down (Alt ↓)"
          aria-label="Move step down"
          @click="move('down')"
        >
          ↓
        </button>
        <button
          type="button"
          class="button button-small"
          :disabled="!isStep"
          title="Remove (Delete)"
          @click="remove"
        >
          Remove
        </button>
      </span>
      <span class="note w-11 text-right">reach</span>
    </div>
    <button
      v-if="view"
      type="button"
      class="border-b border-line px-3 py-2 text-left"
      :class="
        selected === START
          ? 'bg-marigold-soft shadow-[inset_3px_0_0_var(--color-marigold)]'
          : 'hover:bg-sunk'
      "
      :aria-pressed="selected === START"
      @click="store.select(START)"
    >
      <Sentence :phrase="view.sheet.opening" />
      <span
        v-for="(rule, i) in view.sheet.rules"
        :key="i"
        class="mt-0.5 block text-[12px] text-ink2"
      >
        <Sentence :phrase="rule" />
      </span>
    </button>
    <ol
      ref="list"
      aria-label="Steps"
      class="min-h-0 flex-1 overflow-x-hidden overflow-y-auto"
      tabindex="-1"
      @keydown="onKey"
    >
      <li v-for="row in rows" :key="row.id">
        <RunSheetRow
          :row="row"
          :measures="measuresOf(row)"
          :reach="reachOf(row)"
          :findings="findingsOf(row)"
          :selected="row.id === selected"
          :current="row.id === current"
          @select="store.select(row.id)"
        />
        <RemoveQuestion
          v-if="row.id === asking && askedStep && removal"
          :step="askedStep"
          :removal="removal"
          @only="done('only')"
          @rest="done('rest')"
          @cancel="keep"
        />
      </li>
      <li v-if="rows.length === 0" class="px-4 py-6 text-ink2">
        An empty sheet. Add the first step below: usually the email that people asked for.
      </li>
    </ol>
    <NewMessage
      v-if="writing"
      class="m-2"
      :channel="writing === 'sendText' ? 'TEXT' : 'EMAIL'"
      @added="add(writing)"
      @cancel="writing = null"
    />
    <div class="flex flex-wrap items-center gap-1.5 border-t border-line bg-sunk px-3 py-2">
      <span class="note mr-1">{{ anchor ? 'Add below:' : 'Add:' }}</span>
      <button
        v-for="kind in STEP_KINDS"
        :key="kind.kind"
        type="button"
        class="button button-small"
        @click="add(kind.kind)"
      >
        {{ kind.name }}
      </button>
    </div>
  </section>
</template>
