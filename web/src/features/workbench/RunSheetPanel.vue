<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { placeAbove } from './edits'
import { useJourneyStore } from './journeyStore'
import GatherQuestion from './GatherQuestion.vue'
import { pressed, type SheetActions } from './pressed'
import { useSelection } from './selectionStore'
import SentenceDock from './SentenceDock.vue'
import SheetButtons from './SheetButtons.vue'
import SheetLines from './SheetLines.vue'
import { sheetMenu } from './sheetMenu'
import SheetSteps from './SheetSteps.vue'
import { useArrangements, type Details } from './useArrangements'
import { useDragging } from './useDragging'
import { useGoing } from './useGoing'
import { useReasons } from './useReasons'
import { useRemoving } from './useRemoving'
import { useRowFocus, useRowInSight } from './useRowFocus'
import type { SeriesAction } from './useSeries'
import { useSheet } from './useSheet'
import { useWriting } from './useWriting'

/** The journey as a list of sentences: read, gone through by keys, typed into, arranged. */
const emit = defineEmits<{ help: [] }>()
const store = useJourneyStore()
const router = useRouter()
const selection = useSelection()
const { view, journey } = storeToRefs(store)
const { selected, chosen } = storeToRefs(selection)
const list = useTemplateRef<HTMLElement>('list')
const dock = useTemplateRef<InstanceType<typeof SentenceDock>>('dock')

const sheet = useSheet()
const { head, foot, current, selectedRow, arrangeable, stepCount } = sheet
const why = useReasons(() => view.value?.starter)
const focusRow = useRowFocus(list)
useRowInSight(list, current)
const going = useGoing(sheet, focusRow)
const writing = useWriting(sheet, focusRow, (begin) => dock.value?.focus(begin))
const { editing, below, place } = writing
const arrangements = useArrangements()
const { clipboard, refusal, order, cut } = arrangements
const removing = useRemoving(arrangements, sheet.neighbourOf, focusRow)
/** Whether a strand is being made, which needs a name. */
const asksName = ref(false)
const dragging = useDragging(
  () => chosen.value,
  (row) => (row === 'goal' ? 'end' : journey.value && placeAbove(journey.value, row)),
  (row) => (isFork(row) || row === 'goal' ? null : row),
  (moved, to) => void order('MOVE', moved, { below: to }).then(focusRow),
)

watch(selected, (row) => {
  if (row) sheet.reveal(row)
  writing.chosenAnew()
})

/* Whoever begins an empty journey can type at once. */
watch(
  () => view.value?.id,
  () => {
    const begun = journey.value
    const empty = begun && begun.triggers.length === 0 && begun.body.length === 0
    if (empty) void nextTick(() => dock.value?.focus())
  },
  { immediate: true },
)

function isFork(row: string | null): boolean {
  return ['BRANCH', 'SPLIT'].includes(sheet.kindOf(row) ?? '')
}

function markOf(row: string): string {
  const landing = dragging.landing.value
  return landing?.row === row ? `landing-${landing.edge}` : ''
}

async function arrange(how: 'UP' | 'DOWN' | 'IN' | 'OUT' | 'DUPLICATE') {
  if (!arrangeable.value) return
  await order(how, chosen.value)
  focusRow()
}

async function paste() {
  if (clipboard.value.length === 0) {
    refusal.value = 'Nothing has been copied yet. Choose rows and press Ctrl C.'
    return
  }
  await order('PASTE', [], { below: below.value ?? 'end' })
  focusRow()
}

async function copy(taking: boolean) {
  if (!arrangeable.value) return
  if (!taking) return void order('COPY', chosen.value)
  const next = sheet.neighbourOf(chosen.value[0]!)
  if (await cut(chosen.value)) selection.select(next)
  focusRow()
}

async function series(action: SeriesAction, details: Details) {
  await order(action, [], { below: below.value ?? 'end', ...details })
  focusRow()
}

async function gather(name: string) {
  asksName.value = false
  await order('GATHER', chosen.value, { name })
  focusRow()
}

function mend() {
  if (!going.mend()) {
    refusal.value = 'Nothing here can be mended with one key. F8 goes to the next finding.'
  }
}

function fold() {
  const hides = sheet.shown.value.hidden.has(current.value ?? '')
  if (hides || isFork(current.value)) sheet.toggle(current.value!)
}

const keys: SheetActions = {
  arrange,
  go: going.go,
  write: writing.write,
  copy,
  paste,
  remove: () => arrangeable.value && removing.remove(),
  edit: () => writing.edit(current.value),
  nextFinding: going.nextFinding,
  mend,
  fold,
  help: () => emit('help'),
}

function onKey(event: KeyboardEvent) {
  if (!(event.target as HTMLElement).hasAttribute('data-row')) return
  if (pressed(event, keys)) event.preventDefault()
}

/** What all lines and steps are shown by. */
const shared = computed(() => ({
  editing: editing.value,
  reasons: why.reasons.value,
  markOf,
}))

const menu = computed(() =>
  sheetMenu({
    edit: !!sheet.typedOf(current.value),
    arrange: arrangeable.value,
    paste: clipboard.value.length > 0,
    reasons: why.has.value ? why.shown.value : null,
    test: !store.ofStrand,
  }),
)

const CHOICES: Record<string, () => unknown> = {
  edit: () => writing.edit(current.value),
  above: () => writing.write('', true),
  in: () => arrange('IN'),
  out: () => arrange('OUT'),
  duplicate: () => arrange('DUPLICATE'),
  gather: () => (asksName.value = true),
  copy: () => copy(false),
  cut: () => copy(true),
  paste,
  fold: () => sheet.foldAll(true),
  unfold: () => sheet.foldAll(false),
  reasons: why.toggle,
  help: () => emit('help'),
  test: () => router.push({ name: 'inbox', query: { journey: view.value?.id } }),
  better: () =>
    router.push({
      name: 'dry-run',
      params: { id: view.value?.id },
      query: { show: 'better', ...(selected.value ? { step: selected.value } : {}) },
    }),
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col" aria-labelledby="run-sheet">
    <div class="panel-head gap-1.5! whitespace-nowrap">
      <h2 id="run-sheet">Run sheet</h2>
      <span class="note">{{ stepCount === 1 ? '1 step' : `${stepCount} steps` }}</span>
      <SheetButtons
        :arrangeable="arrangeable"
        :removable="arrangeable && selectedRow?.kind !== 'ARM'"
        :menu="menu"
        @arrange="arrange"
        @remove="removing.remove"
        @choose="(id) => CHOICES[id]!()"
      />
      <span class="note w-9 text-right">reach</span>
    </div>
    <div
      v-if="view"
      ref="list"
      class="min-h-0 flex-1 overflow-x-hidden overflow-y-auto"
      @keydown="onKey"
      @dragend="dragging.end"
    >
      <SheetLines
        :lines="head"
        v-bind="shared"
        :current="current"
        @edit="writing.edit"
        @understood="writing.understood"
        @cancel="writing.leave"
      />
      <SheetSteps
        :sheet="sheet"
        v-bind="shared"
        :dragging="dragging"
        :removing="removing"
        @select="going.select"
        @lost-focus="focusRow"
        @edit="writing.edit"
        @understood="writing.understood"
        @cancel="writing.leave"
      />
      <SheetLines
        :lines="foot"
        v-bind="shared"
        :current="current"
        @edit="writing.edit"
        @understood="writing.understood"
        @cancel="writing.leave"
        @over="dragging.over"
        @dropped="dragging.dropped"
      />
    </div>
    <p v-if="refusal" class="warning mx-2 mb-1.5 flex items-start gap-2" role="alert">
      <span class="flex-1">{{ refusal }}</span>
      <button type="button" class="button button-small" @click="refusal = null">OK</button>
    </p>
    <GatherQuestion v-if="asksName" @gather="gather" @cancel="asksName = false" />
    <SentenceDock
      ref="dock"
      :below="below"
      :place="place"
      :copied="clipboard.length"
      @added="writing.added"
      @series="series"
      @leave="focusRow"
    />
  </section>
</template>
