<script setup lang="ts">
import { Flag, LogIn } from '@lucide/vue'
import { storeToRefs } from 'pinia'
import { computed, nextTick, onBeforeUpdate, onUpdated, ref, useTemplateRef, watch } from 'vue'
import type { Phrase, Row, UnderstoodView } from '@/api/types'
import EditableLine from './EditableLine.vue'
import { placeAbove, START } from './edits'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import RemoveQuestion from './RemoveQuestion.vue'
import RemoveSeveral from './RemoveSeveral.vue'
import RunSheetRow from './RunSheetRow.vue'
import SentenceDock from './SentenceDock.vue'
import SheetButtons from './SheetButtons.vue'
import { pressed, type SheetActions } from './pressed'
import SheetLineRow from './SheetLineRow.vue'
import { sheetMenu } from './sheetMenu'
import { useArrangements, type Details } from './useArrangements'
import { useDragging } from './useDragging'
import { useFolding } from './useFolding'
import { useReasons } from './useReasons'
import { useRemoving } from './useRemoving'
import { useRowFigures } from './useRowFigures'
import type { SeriesAction } from './useSeries'

const emit = defineEmits<{ help: [] }>()
const store = useJourneyStore()
const selection = useSelection()
const { view, journey } = storeToRefs(store)
const { selected, chosen } = storeToRefs(selection)
const arrangements = useArrangements()
const { clipboard, refusal, order, cut } = arrangements
const list = useTemplateRef<HTMLElement>('list')
const dock = useTemplateRef<InstanceType<typeof SentenceDock>>('dock')

const rows = computed<Row[]>(() => view.value?.sheet.rows ?? [])
const { folded, shown, toggle, foldAll, reveal } = useFolding(() => view.value?.id, rows)
const why = useReasons(() => view.value?.starter)

/** The lines below the steps. */
const goalLines = computed(() => {
  const sheet = view.value?.sheet
  return sheet ? [sheet.goal, ...sheet.secondaryGoals] : []
})

/** Everything that the arrow keys go through, from the trigger to the goal. */
const stops = computed(() => {
  const sheet = view.value?.sheet
  if (!sheet) return []
  const lines = [sheet.opening, ...sheet.rules].map((line) => line.id)
  const goals = goalLines.value.map((line) => line.id)
  return [...lines, ...shown.value.rows.map((row) => row.id), ...goals]
})
const stepCount = computed(() => rows.value.filter((row) => row.kind !== 'ARM').length)
const current = computed(() =>
  stops.value.includes(selected.value ?? '') ? selected.value : stops.value[0],
)
const selectedRow = computed(() => rows.value.find((row) => row.id === selected.value))
const arrangeable = computed(() => !!selectedRow.value && !selectedRow.value.ofStrand)

const { reachOf, measuresOf, findingsOf } = useRowFigures()

watch(selected, (row) => {
  if (row) reveal(row)
  addAbove.value = false
})

/* Writing */

const editing = ref<{ row: string; slot: number } | null>(null)
const addAbove = ref(false)
const below = computed(() => {
  if (!journey.value || !selected.value) return null
  if (addAbove.value) return placeAbove(journey.value, selected.value)
  if (goalLines.value.some((line) => line.id === selected.value)) return null
  return selectedRow.value ? selected.value : START
})
const place = computed(() => {
  if (below.value === null) return 'At the end'
  const row = selectedRow.value
  if (!row) return 'At the beginning'
  if (row.kind === 'ARM') return `In arm ${row.label}`
  return `${addAbove.value ? 'Above' : 'Below'} “${row.sentence.spans.map((span) => span.text).join('')}”`
})

function typedOf(id: string): Phrase | null {
  const sheet = view.value?.sheet
  const row = rows.value.find((one) => one.id === id)
  const line =
    sheet && [sheet.opening, ...sheet.rules, ...goalLines.value].find((one) => one.id === id)
  const typed = row?.typed ?? line?.typed
  return typed && typed.spans.length > 0 ? typed : null
}

function edit(row: string, slot = 0) {
  if (!typedOf(row)) return
  selection.select(row)
  editing.value = { row, slot }
}

function edited(result: UnderstoodView) {
  store.edit('change sentence', () => result.journey)
  editing.value = null
  selection.select(result.selected)
  focusRow()
}

function leaveEditing() {
  editing.value = null
  focusRow()
}

function added(row: string) {
  addAbove.value = false
  selection.select(row)
}

function write(begin = '', above = false) {
  addAbove.value = above && !!selectedRow.value && selectedRow.value.kind !== 'ARM'
  void nextTick(() => dock.value?.focus(begin))
}

/* Removing and arranging */

function neighbourOf(id: string): string | null {
  return stops.value[stops.value.indexOf(id) - 1] ?? null
}

const { asking, removal, askedStep, remove, removeOne, removeAll, keep } = useRemoving(
  arrangements,
  neighbourOf,
  focusRow,
)

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
  const next = neighbourOf(chosen.value[0]!)
  if (await cut(chosen.value)) selection.select(next)
  focusRow()
}

const { dragged, landing, start, over, end, dropped } = useDragging(
  () => chosen.value,
  (row) => (row === 'goal' ? 'end' : journey.value && placeAbove(journey.value, row)),
  (row) => {
    const kind = rows.value.find((one) => one.id === row)?.kind
    return kind === 'BRANCH' || kind === 'SPLIT' || row === 'goal' ? null : row
  },
  (moved, to) => void order('MOVE', moved, { below: to }).then(focusRow),
)

function markOf(row: string) {
  return landing.value?.row === row ? `landing-${landing.value.edge}` : ''
}

async function series(action: SeriesAction, details: Details) {
  await order(action, [], { below: below.value ?? 'end', ...details })
  focusRow()
}

/* Going from row to row */

function go(to: number | 'FIRST' | 'LAST', extend: boolean) {
  const last = stops.value.length - 1
  const here = stops.value.indexOf(current.value ?? '')
  const place = to === 'FIRST' ? 0 : to === 'LAST' ? last : here + to
  const next = stops.value[Math.max(0, Math.min(last, place))]
  if (!next) return
  if (extend && rows.value.some((row) => row.id === next)) selection.extendTo(next)
  else selection.select(next)
  focusRow()
}

function select(row: Row, event: MouseEvent) {
  if (event.shiftKey) selection.extendTo(row.id)
  else selection.select(row.id)
}

function nextFinding(back: boolean) {
  const found = [...new Set((view.value?.findings ?? []).map((one) => one.step ?? START))]
  const order = [START, ...rows.value.map((row) => row.id)].filter((id) => found.includes(id))
  if (order.length === 0) return
  const all = [START, ...rows.value.map((row) => row.id)]
  const here = all.indexOf(selected.value ?? START)
  const next = back
    ? (order.findLast((id) => all.indexOf(id) < here) ?? order.at(-1))
    : (order.find((id) => all.indexOf(id) > here) ?? order[0])
  selection.select(next!)
  focusRow()
}

/** Does what the first finding of the row offers; an edit like any other. */
function mend() {
  const here = current.value === START ? null : current.value
  const fix = view.value?.findings.find((one) => one.step === here && one.fix)?.fix
  if (fix) store.edit(fix.label.toLowerCase(), () => fix.journey)
  else refusal.value = 'Nothing here can be mended with one key. F8 goes to the next finding.'
  focusRow()
}

function focusRow() {
  void nextTick(() => {
    const row = list.value?.querySelector<HTMLElement>('[data-row][tabindex="0"]')
    row?.focus()
    row?.scrollIntoView({ block: 'nearest' })
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
  if (pressed(event, keys)) event.preventDefault()
}

const keys: SheetActions = {
  arrange,
  go,
  write,
  copy,
  paste,
  remove: () => arrangeable.value && remove(),
  edit: () => edit(current.value ?? ''),
  nextFinding,
  mend,
  fold: () => (shown.value.hidden.has(current.value ?? '') || isFork()) && toggle(current.value!),
  help: () => emit('help'),
}

function isFork() {
  return ['BRANCH', 'SPLIT'].includes(
    rows.value.find((row) => row.id === current.value)?.kind ?? '',
  )
}

const menu = computed(() =>
  sheetMenu({
    edit: !!typedOf(current.value ?? ''),
    arrange: arrangeable.value,
    paste: clipboard.value.length > 0,
    reasons: why.has.value ? why.shown.value : null,
  }),
)

const CHOICES: Record<string, () => unknown> = {
  edit: () => edit(current.value ?? ''),
  above: () => write('', true),
  in: () => arrange('IN'),
  out: () => arrange('OUT'),
  duplicate: () => arrange('DUPLICATE'),
  copy: () => copy(false),
  cut: () => copy(true),
  paste,
  fold: () => foldAll(true),
  unfold: () => foldAll(false),
  reasons: why.toggle,
  help: () => emit('help'),
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col" aria-labelledby="run-sheet">
    <div class="panel-head">
      <h2 id="run-sheet">Run sheet</h2>
      <span class="note">{{ stepCount === 1 ? '1 step' : `${stepCount} steps` }}</span>
      <SheetButtons
        :arrangeable="arrangeable"
        :removable="arrangeable && selectedRow?.kind !== 'ARM'"
        :menu="menu"
        @arrange="arrange"
        @remove="remove"
        @choose="(id) => CHOICES[id]!()"
      />
      <span class="note w-9 text-right">reach</span>
    </div>
    <div
      v-if="view"
      ref="list"
      class="min-h-0 flex-1 overflow-x-hidden overflow-y-auto"
      @keydown="onKey"
      @dragend="end"
    >
      <EditableLine
        v-for="line in [view.sheet.opening, ...view.sheet.rules]"
        :key="line.id"
        :row="line.id"
        :typed="line.typed"
        :editing="editing"
        field-class="border-b border-line2 px-3"
        @understood="edited"
        @cancel="leaveEditing"
      >
        <SheetLineRow
          :line="line"
          :quiet="line.id !== START"
          :reason="why.reasons.value[line.id]"
          :selected="line.id === selected"
          :current="line.id === current"
          @select="selection.select(line.id)"
          @edit="(slot) => edit(line.id, slot)"
        >
          <LogIn v-if="line.id === START" class="size-4 shrink-0 text-ink2" aria-hidden="true" />
        </SheetLineRow>
      </EditableLine>
      <ol aria-label="Steps">
        <li
          v-for="row in shown.rows"
          :key="row.id"
          :draggable="row.kind !== 'ARM' && !row.ofStrand && editing?.row !== row.id"
          :class="[markOf(row.id), { 'opacity-50': dragged.includes(row.id) }]"
          @dragstart="start($event, row.id)"
          @pointerenter="selection.hovered = row.id"
          @pointerleave="selection.hovered = null"
          @dragover="over($event, row.id)"
          @drop="dropped"
        >
          <EditableLine
            :row="row.id"
            :typed="row.typed"
            :editing="editing"
            field-class="border-b border-line2 bg-marigold-soft pr-2 pl-[78px]"
            @understood="edited"
            @cancel="leaveEditing"
          >
            <RunSheetRow
              :row="row"
              :measures="measuresOf(row)"
              :reach="reachOf(row)"
              :findings="findingsOf(row)"
              :reason="why.reasons.value[row.id]"
              :hovered="row.id === selection.hovered"
              :selected="chosen.includes(row.id)"
              :current="row.id === current"
              :folded="folded.has(row.id) ? (shown.hidden.get(row.id) ?? 0) : null"
              @select="(event) => select(row, event)"
              @edit="(slot) => edit(row.id, slot)"
              @fold="toggle(row.id)"
            />
          </EditableLine>
          <RemoveSeveral
            v-if="asking && asking.rows.length > 1 && row.id === asking.row"
            :steps="asking.steps"
            @remove="removeAll"
            @cancel="keep"
          />
          <RemoveQuestion
            v-else-if="row.id === asking?.row && askedStep && removal"
            :step="askedStep"
            :removal="removal"
            @only="removeOne(row.id, 'only')"
            @rest="removeOne(row.id, 'rest')"
            @cancel="keep"
          />
        </li>
        <li v-if="rows.length === 0" class="px-4 py-6 text-ink2">
          An empty sheet. Type the first step below: usually the email that people asked for.
        </li>
      </ol>
      <EditableLine
        v-for="line in goalLines"
        :key="line.id"
        :row="line.id"
        :typed="line.typed"
        :editing="editing"
        field-class="px-3"
        @understood="edited"
        @cancel="leaveEditing"
      >
        <SheetLineRow
          :class="line.id === 'goal' && markOf('goal')"
          :line="line"
          :quiet="line.id !== 'goal'"
          :reason="why.reasons.value[line.id]"
          :selected="line.id === selected"
          :current="line.id === current"
          @select="selection.select(line.id)"
          @edit="(slot) => edit(line.id, slot)"
          @dragover="line.id === 'goal' && over($event, 'goal')"
          @drop="dropped"
        >
          <Flag v-if="line.id === 'goal'" class="size-4 shrink-0 text-ink2" aria-hidden="true" />
          <span v-else class="size-4 shrink-0" />
        </SheetLineRow>
      </EditableLine>
    </div>
    <p v-if="refusal" class="warning mx-2 mb-1.5 flex items-start gap-2" role="alert">
      <span class="flex-1">{{ refusal }}</span>
      <button type="button" class="button button-small" @click="refusal = null">OK</button>
    </p>
    <SentenceDock
      ref="dock"
      :below="below"
      :place="place"
      :copied="clipboard.length"
      @added="added"
      @series="series"
      @leave="focusRow"
    />
  </section>
</template>
