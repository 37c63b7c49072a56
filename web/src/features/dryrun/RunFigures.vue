<script setup lang="ts">
import { computed } from 'vue'
import type { BehaviourDocument, DryRunView, JourneyView, PreviewView } from '@/api/types'
import BetterWaysTab from '@/features/better/BetterWaysTab.vue'
import DropOffTable from './DropOffTable.vue'
import EmailAssumptions from './EmailAssumptions.vue'
import GoalAndMoney from './GoalAndMoney.vue'
import PathTable from './PathTable.vue'
import StepTable from './StepTable.vue'
import WhatGoesOut from './WhatGoesOut.vue'
import WhatMattersTab from './WhatMattersTab.vue'
import WhoIsWhere from './WhoIsWhere.vue'

/** A run's figures, one view at a time. */
const props = defineProps<{
  run: DryRunView
  number: number
  journey: JourneyView
  preview: PreviewView | null
  /** Why there is no preview, if it failed. */
  noPreview: string | null
}>()
const emit = defineEmits<{ behaviour: [behaviour: BehaviourDocument]; limited: [] }>()
const tab = defineModel<string>('tab', { required: true })
const path = defineModel<number | null>('path', { required: true })
const day = defineModel<number>('day', { required: true })
const selected = defineModel<string | null>('selected', { required: true })

const TABS = [
  { key: 'steps', name: 'Steps' },
  { key: 'drop-off', name: 'Drop-off' },
  { key: 'paths', name: 'Paths' },
  { key: 'where', name: 'Who is where' },
  { key: 'out', name: 'What goes out' },
  { key: 'goal', name: 'Goal and money' },
  { key: 'matters', name: 'What matters' },
  { key: 'better', name: 'Better ways' },
  { key: 'assumptions', name: 'Assumptions' },
]
/** What only simulated people can be asked. */
const SIMULATED = ['matters', 'better']

/** What others would have done cannot be asked of those who really came. */
const tabs = computed(() =>
  part.value.run.lived ? TABS.filter((one) => !SIMULATED.includes(one.key)) : TABS,
)
const part = computed(() => props.run.journeys[props.number]!)
const report = computed(() => part.value.report)

function file(name: string): string {
  return `/api/dry-runs/${part.value.run.id}/${name}.csv?number=${props.number}`
}

function move(event: KeyboardEvent) {
  const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key]
  if (!by) return
  event.preventDefault()
  const at = tabs.value.findIndex((one) => one.key === tab.value)
  tab.value = tabs.value[(at + by + tabs.value.length) % tabs.value.length]!.key
  const list = event.currentTarget as HTMLElement
  requestAnimationFrame(() => list.querySelector<HTMLElement>('[aria-selected=true]')?.focus())
}
</script>

<template>
  <section class="panel flex min-h-0 flex-1 flex-col" aria-label="Figures">
    <div
      class="panel-head gap-1! overflow-x-auto whitespace-nowrap"
      role="tablist"
      aria-label="Figures"
      @keydown="move"
    >
      <button
        v-for="one in tabs"
        :id="`tab-${one.key}`"
        :key="one.key"
        type="button"
        role="tab"
        class="tab"
        aria-controls="figures-body"
        :aria-selected="tab === one.key"
        :tabindex="tab === one.key ? 0 : -1"
        @click="tab = one.key"
      >
        {{ one.name }}
      </button>
    </div>
    <div
      id="figures-body"
      role="tabpanel"
      :aria-labelledby="`tab-${tab}`"
      class="flex min-h-0 flex-1 flex-col"
    >
      <DropOffTable
        v-if="tab === 'drop-off'"
        :drop-off="report.dropOff"
        :sheet="part.sheet"
        :selected="selected"
        @select="selected = $event"
      />
      <PathTable
        v-else-if="tab === 'paths'"
        :paths="report.paths"
        :chosen="path"
        :csv="file('paths')"
        @choose="path = $event"
      />
      <WhoIsWhere
        v-else-if="tab === 'where'"
        v-model:day="day"
        :where="report.whereabouts"
        :sheet="part.sheet"
        :entered="report.measures.entered"
      />
      <WhatGoesOut
        v-else-if="tab === 'out'"
        :out="run.outgoing"
        :lines="run.limits"
        :run="part.run.id"
        @limited="emit('limited')"
      />
      <GoalAndMoney
        v-else-if="tab === 'goal'"
        :report="report"
        :sheet="part.sheet"
        :csv="file('curves')"
      />
      <WhatMattersTab
        v-else-if="tab === 'matters' && !part.run.lived"
        :run="part.run.id"
        :number="number"
        @select="selected = $event"
      />
      <BetterWaysTab
        v-else-if="tab === 'better' && !part.run.lived"
        :key="part.run.id"
        :run="part.run.id"
        :number="number"
        :journey="journey.id"
        :people="part.run.people"
        :sheet="part.sheet"
        :selected="selected"
        @select="selected = $event"
      />
      <EmailAssumptions
        v-else-if="tab === 'assumptions'"
        :behaviour="journey.behaviour"
        :sheet="journey.sheet"
        :journey="journey.id"
        :preview="preview"
        :no-preview="noPreview"
        :run="part.run.id"
        :number="number"
        @change="emit('behaviour', $event)"
      />
      <StepTable
        v-else
        :measures="report.measures"
        :sheet="part.sheet"
        :selected="selected"
        :csv="file('steps')"
        @select="selected = $event"
      />
    </div>
  </section>
</template>
