<script setup lang="ts">
import { computed } from 'vue'
import type {
  BehaviourDocument,
  PreviewView,
  ReactionDocument,
  RunMeasures,
  RunSheet,
} from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { change, percent } from '@/ui/figures'
import { TERMS } from '@/ui/terms'
import type { TableColumn } from '@/ui/table'
import AssumedField from './AssumedField.vue'
import HistoryImport from './HistoryImport.vue'
import { useWhatMatters } from './useWhatMatters'

/** What people are assumed to do with each email. */
const props = defineProps<{
  behaviour: BehaviourDocument
  sheet: RunSheet
  journey: number
  /** What these assumptions would make of the run that is shown. */
  preview: PreviewView | null
  noPreview: string | null
  /** The run that is shown, and which of its journeys. */
  run: number
  number: number
}>()
const emit = defineEmits<{ change: [behaviour: BehaviourDocument] }>()

const PARTS = [
  {
    field: 'pull',
    name: 'Opens of',
    head: 'opens, times the usual',
    title: TERMS.pull,
    share: false,
    step: 0.05,
  },
  {
    field: 'clickGivenOpen',
    name: 'Click in',
    head: 'click, of those who opened',
    title: undefined,
    share: true,
    step: 0.1,
  },
  {
    field: 'unsubscribeGivenOpen',
    name: 'Unsubscribe from',
    head: 'unsubscribe, of those who opened',
    title: undefined,
    share: true,
    step: 0.1,
  },
] as const

interface AssumedEmail {
  id: string
  label: string | null
  name: string
  reaction: ReactionDocument
  /** It has assumptions of its own. */
  own: boolean
  /** Opened, as run and so changed. */
  before: number | null
  after: number | null
}

const COLUMNS: TableColumn<AssumedEmail>[] = [
  {
    id: 'email',
    head: 'email',
    names: true,
    headClass: 'px-3',
    cellClass: 'max-w-47.5 truncate px-3 font-semibold',
  },
  ...PARTS.map((part) => ({
    id: part.field,
    head: part.head,
    title: part.title,
    headClass: 'px-2 py-1 text-left whitespace-normal',
    cellClass: 'px-2 text-left font-sans text-plain',
  })),
  {
    id: 'effect',
    head: 'goal, if opens +25%',
    title:
      'Points that the goal of this run moves by if the odds of an open of this email are a quarter higher.',
    headClass: 'min-w-21 px-2 whitespace-normal',
  },
  { id: 'before', head: 'opened, as run', headClass: 'px-2 whitespace-normal' },
  { id: 'after', head: 'so changed', headClass: 'px-2 whitespace-normal' },
  { id: 'reset', head: 'reset', quiet: true, cellClass: 'pr-3' },
]

const emails = computed<AssumedEmail[]>(() =>
  props.sheet.rows
    .filter((row) => row.kind === 'SEND' || row.kind === 'TEXT')
    .map((row) => ({
      id: row.id,
      label: row.label,
      name: row.sentence.spans.find((span) => span.strong)?.text ?? row.id,
      reaction: props.behaviour.emails[row.id] ?? props.behaviour.usual,
      own: row.id in props.behaviour.emails,
      before: opened(props.preview?.before, row.id),
      after: opened(props.preview?.after, row.id),
    })),
)

function opened(measures: RunMeasures | undefined, step: string): number | null {
  return measures?.steps.find((one) => one.id === step)?.email?.opened.value ?? null
}

/** What a quarter more opens (in odds) would do to the goal of the run that is shown. */
const { matters, failure, again } = useWhatMatters(
  () => props.run,
  () => props.number,
)
const effects = computed(() => {
  const pulls = matters.value?.rows.filter((row) => row.id.startsWith('pull:')) ?? []
  return new Map(pulls.map((row) => [row.step ?? '', row]))
})

function effect(id: string): string {
  const points = effects.value.get(id)?.higher?.points
  return points !== undefined ? change(points, 2) : matters.value || failure.value ? '–' : '…'
}

function set(id: string, reaction: ReactionDocument) {
  emit('change', {
    ...props.behaviour,
    emails: { ...props.behaviour.emails, [id]: reaction },
  })
}

function forget(id: string) {
  const emails = { ...props.behaviour.emails }
  delete emails[id]
  emit('change', { ...props.behaviour, emails })
}
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <p v-if="noPreview" class="border-b border-line2 bg-clay-soft px-3 py-1.5" role="alert">
      What these assumptions would change is not known: {{ noPreview }}
    </p>
    <p
      v-else-if="preview"
      class="border-b border-line2 bg-sunk px-3 py-1.5"
      aria-live="polite"
      data-preview
    >
      {{ preview.sentence }}
    </p>
    <p
      v-if="failure"
      class="flex items-center gap-3 border-b border-line2 bg-clay-soft px-3 py-1.5"
      role="alert"
    >
      <span>What more opens would do is not known: {{ failure }}</span>
      <button type="button" class="button button-small" @click="again">Look again</button>
    </p>
    <DataTable
      label="Assumptions for each email"
      :columns="COLUMNS"
      :rows="emails"
      :key-of="(email) => email.id"
      row-class="h-9.5"
    >
      <template #cell-email="{ row: email }">
        <span v-if="email.label" class="chip mr-1.5">{{ email.label }}</span><span
          :title="email.name"
          >{{ email.name }}</span
        >
      </template>
      <template v-for="part in PARTS" :key="part.field" #[`cell-${part.field}`]="{ row: email }">
        <AssumedField
          :assumed="email.reaction[part.field]"
          :label="`${part.name} ${email.name}`"
          :share="part.share"
          :step="part.step"
          @change="set(email.id, { ...email.reaction, [part.field]: $event })"
        />
      </template>
      <template #cell-effect="{ row: email }">
        <span
          :title="effects.get(email.id)?.sentence"
          :class="{ 'text-ink3': !effects.get(email.id)?.higher?.realDifference }"
          >{{ effect(email.id) }}</span
        >
      </template>
      <template #cell-before="{ row: email }">{{ percent(email.before, 1) }}</template>
      <template #cell-after="{ row: email }">
        <b :class="{ 'font-normal': email.after === email.before }">{{
          percent(email.after, 1)
        }}</b>
      </template>
      <template #cell-reset="{ row: email }">
        <button
          v-if="email.own"
          type="button"
          class="button button-small font-sans"
          @click="forget(email.id)"
        >
          Back to typical
        </button>
      </template>
      <template #below>
        <p class="note px-3 py-2">
          Opens of 2 times the usual double the odds of an open, whoever it is sent to. Typical
          values are common practice, without a source; change any of them and run again.
        </p>
        <HistoryImport :journey="journey" @use="emit('change', $event)" />
      </template>
    </DataTable>
  </div>
</template>
