<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import type { StepDocument } from '@/api/types'
import Sentence from '@/ui/Sentence.vue'
import BranchEditor from './editors/BranchEditor.vue'
import ChangeEditor from './editors/ChangeEditor.vue'
import JourneyEditor from './editors/JourneyEditor.vue'
import PlainEditor from './editors/PlainEditor.vue'
import SendEditor from './editors/SendEditor.vue'
import SplitEditor from './editors/SplitEditor.vue'
import WaitEditor from './editors/WaitEditor.vue'
import { allSteps, emailsBefore, findArm, findStep, replaceStep, wholeOf } from './edits'
import FindingNote from './FindingNote.vue'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import NewNamesNote from './NewNamesNote.vue'
import SenderChoices from './SenderChoices.vue'
import StepFigures from './StepFigures.vue'
import { useEstimate } from './useEstimate'
import { useFindings } from './useFindings'
import { useKeptWalks } from './useKeptWalks'
import { useNewNames } from './useNewNames'
import VersionsPanel from './VersionsPanel.vue'

const store = useJourneyStore()
const { view, journey } = storeToRefs(store)
const { selected } = storeToRefs(useSelection())
const { estimate } = useEstimate()
const tab = ref<'step' | 'checks' | 'versions'>('step')
const TABS = { step: '', checks: 'Checks', versions: 'Versions' } as const

const step = computed(() =>
  journey.value && selected.value ? findStep(journey.value, selected.value) : null,
)
/** Choosing an arm edits the branch it belongs to. */
const branch = computed(() =>
  journey.value && selected.value ? (findArm(journey.value, selected.value)?.branch ?? null) : null,
)
const edited = computed(() => step.value ?? branch.value)
const row = computed(() =>
  view.value?.sheet.rows.find((one) => one.id === (edited.value?.id ?? selected.value)),
)
/** The strand that the chosen row stands for, or belongs to: that of the innermost include. */
const strand = computed(() => {
  const id = row.value?.id ?? ''
  const around = row.value?.ofStrand ? id.slice(0, id.lastIndexOf('/')) : id
  const step = allSteps(view.value ? wholeOf(view.value).body : []).find((one) => one.id === around)
  return step?.kind === 'include' ? step.strand : null
})
const before = computed(() =>
  journey.value && edited.value ? emailsBefore(journey.value, edited.value.id) : [],
)
const measures = computed(() => estimate.value?.steps.find((one) => one.id === row.value?.id))
const findings = useFindings()
const { changed } = useKeptWalks(() => view.value)
const { newNames, register } = useNewNames()
const checks = computed(
  () => findings.value.length + changed.value.length + (newNames.value.length ? 1 : 0),
)
const here = computed(() =>
  findings.value.filter((finding) =>
    row.value ? [row.value.id, selected.value].includes(finding.step) : finding.step === null,
  ),
)

watch(selected, () => (tab.value = 'step'))

function change(changed: StepDocument) {
  store.edit(`change ${changed.kind}`, (whole) => replaceStep(whole, changed.id, () => changed))
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col" aria-labelledby="step-panel">
    <div class="panel-head">
      <h2 id="step-panel" class="min-w-0 truncate">
        <Sentence v-if="row" :phrase="row.sentence" />
        <template v-else>{{ store.ofStrand ? 'Strand' : 'Journey' }}</template>
      </h2>
      <span v-if="row?.label" class="chip">branch {{ row.label }}</span>
      <div
        v-if="!store.ofStrand"
        class="ml-auto flex gap-4 whitespace-nowrap"
        role="tablist"
        aria-label="Panel"
      >
        <button
          v-for="name in ['step', 'checks', 'versions'] as const"
          :id="`tab-${name}`"
          :key="name"
          type="button"
          role="tab"
          aria-controls="step-panel-body"
          :aria-selected="tab === name"
          class="min-h-6"
          :class="tab === name ? 'font-semibold' : 'text-ink2'"
          @click="tab = name"
        >
          {{ TABS[name] || (row ? 'Step' : 'Journey') }}
          <b v-if="name === 'checks' && checks" class="text-clay">{{ checks }}</b>
        </button>
      </div>
    </div>
    <SenderChoices />
    <div
      id="step-panel-body"
      role="tabpanel"
      :aria-labelledby="`tab-${tab}`"
      class="min-h-0 flex-1 overflow-y-auto p-3"
      tabindex="0"
    >
      <div v-if="tab === 'checks'" class="flex flex-col gap-2">
        <FindingNote v-for="(finding, i) in findings" :key="i" :finding="finding" show-place />
        <div v-for="walk in changed" :key="walk.id" class="warning flex items-center gap-3">
          <b class="text-clay">Walk</b>
          <span class="flex-1">“{{ walk.name }}” comes out another way. {{ walk.sentence }}</span>
          <RouterLink class="button button-small" :to="{ name: 'walk', params: { id: view!.id } }"
            >Look</RouterLink
          >
        </div>
        <NewNamesNote v-if="newNames.length" :names="newNames" :register="register" />
        <p v-if="checks === 0" class="text-ink2">No findings: nothing stands in the way.</p>
      </div>
      <VersionsPanel v-else-if="tab === 'versions'" />
      <div v-else-if="journey" class="flex flex-col gap-3">
        <FindingNote v-for="(finding, i) in here" :key="i" :finding="finding" />
        <SendEditor
          v-if="edited?.kind === 'sendEmail'"
          :key="edited.id"
          :step="edited"
          :emails="before"
          @change="change"
        />
        <WaitEditor
          v-else-if="edited?.kind === 'wait'"
          :step="edited"
          :emails="before"
          @change="change"
        />
        <SplitEditor v-else-if="edited?.kind === 'splitTest'" :step="edited" @change="change" />
        <BranchEditor v-else-if="edited?.kind === 'branch'" :step="edited" @change="change" />
        <ChangeEditor v-else-if="edited?.kind === 'change'" :step="edited" @change="change" />
        <p v-else-if="edited?.kind === 'finish'" class="text-ink2">
          Whoever gets here has come to the end of the journey.
        </p>
        <PlainEditor
          v-else-if="edited"
          :key="edited.id"
          :step="edited"
          :emails="before"
          @change="change"
        />
        <p v-else-if="row?.ofStrand" class="text-ink2">
          This step belongs to a strand, which several journeys share.
        </p>
        <slot v-else-if="store.ofStrand" />
        <JourneyEditor
          v-else
          :journey="journey"
          @change="(changed) => store.edit('change journey', () => changed)"
        />
        <RouterLink
          v-if="strand"
          class="button button-small self-start"
          :to="{ name: 'strand', params: { id: strand } }"
          >Open the strand</RouterLink
        >
        <StepFigures
          v-if="measures && estimate"
          class="border-t border-line2 pt-2.5"
          :step="measures"
          :people="estimate.people"
        />
      </div>
    </div>
  </section>
</template>
