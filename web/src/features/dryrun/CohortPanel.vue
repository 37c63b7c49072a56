<script setup lang="ts">
import { computed } from 'vue'
import DraftInput from '@/ui/DraftInput.vue'
import PlainTerm from '@/ui/PlainTerm.vue'
import type { BehaviourDocument, CohortView, GroupDocument, JourneyDocument } from '@/api/types'
import { count } from '@/ui/figures'
import ArrivalFields from './ArrivalFields.vue'
import AssumedField from './AssumedField.vue'
import CohortNames from './CohortNames.vue'
import GroupEditor from './GroupEditor.vue'
import TogetherWith from './TogetherWith.vue'
import { cohortOf, shareOut, withoutGroup, type RunDraft } from './runDraft'

/** Who enters, and how they react in general. */
const props = defineProps<{
  behaviour: BehaviourDocument
  /** What brings people in, which says when. */
  triggers: JourneyDocument['triggers']
  draft: RunDraft
  /** Other journeys that the same people can go through. */
  others: { id: number; name: string }[]
  /** Where so many people go, and how long they take. */
  outlook: string | null
}>()
const emit = defineEmits<{
  change: [behaviour: BehaviourDocument]
  'update:draft': [draft: RunDraft]
}>()

const byDates = computed(() => {
  const all = (kind: string) =>
    props.triggers.length > 0 && props.triggers.every((one) => one.kind === kind)
  if (all('dateComes')) return 'They come when their own dates say so.'
  return all('onDate') ? 'They all come together, on the day.' : null
})
const cohort = computed(() => cohortOf(props.draft, props.behaviour.groups))

function setDraft(part: Partial<RunDraft>) {
  emit('update:draft', { ...props.draft, ...part })
}

/** A kept cohort brings its groups along. */
function begin(kept: CohortView | null) {
  if (!kept) {
    setDraft({ cohortId: null })
    return
  }
  const { people, arrivals, holdOut, groups } = kept.cohort
  setDraft({ people, arrivals, holdOut, cohortId: kept.id })
  if (JSON.stringify(groups) !== JSON.stringify(props.behaviour.groups)) set({ groups })
}

const REACTIONS = [
  {
    term: null,
    field: 'openMedianHours',
    name: 'Half of openers by, hours',
    label: 'Half of openers have opened by, hours',
    share: false,
  },
  {
    field: 'openSigma',
    name: 'How unlike their times are',
    term: 'sigma',
    label: 'Spread of the time to an open',
    share: false,
  },
  {
    term: null,
    field: 'clickMedianMinutes',
    name: 'Click after, minutes',
    label: 'Median minutes from open to click',
    share: false,
  },
  {
    term: null,
    field: 'buyAfterClick',
    name: 'Buy after a click',
    label: 'Buy after a click',
    share: true,
  },
  {
    term: null,
    field: 'buyMeanHours',
    name: 'Bought after, hours',
    label: 'Mean hours from click to purchase',
    share: false,
  },
] as const

function set(part: Partial<BehaviourDocument>) {
  emit('change', { ...props.behaviour, ...part })
}

function setGroup(index: number, group: GroupDocument) {
  const before = props.behaviour.groups[index]!
  const groups = props.behaviour.groups.with(index, group)
  if (group.share === before.share || groups.length === 1) {
    set({ groups: groups.length === 1 ? [{ ...group, share: 1 }] : groups })
    return
  }
  set({ groups: shareOut(groups, index) })
}

function addGroup() {
  const last = props.behaviour.groups.at(-1)!
  const added = { ...last, name: `Group ${props.behaviour.groups.length + 1}`, share: 0.2 }
  set({ groups: shareOut([...props.behaviour.groups, added], props.behaviour.groups.length) })
}

function removeGroup(index: number) {
  set({ groups: withoutGroup(props.behaviour.groups, index) })
}

function percentOf(event: Event): number {
  const typed = (event.target as HTMLInputElement).valueAsNumber
  return Number.isFinite(typed) ? Math.min(90, Math.max(0, typed)) / 100 : props.draft.holdOut
}

function whole(event: Event): number {
  return Math.round((event.target as HTMLInputElement).valueAsNumber)
}
</script>

<template>
  <section class="panel min-h-0 overflow-y-auto" aria-labelledby="who" tabindex="0">
    <div class="panel-head">
      <h2 id="who">Who enters</h2>
      <span class="figure ml-auto">{{ count(draft.people) }}</span>
    </div>
    <CohortNames :cohort="cohort" :chosen="draft.cohortId" @choose="begin" />
    <div
      class="grid grid-cols-[1fr_auto] items-center gap-x-2 gap-y-1.5 border-b border-line2 px-3 py-2"
    >
      <label class="contents">
        <span>People</span>
        <DraftInput
          type="number"
          class="field figure min-h-6.5! w-28! text-right"
          min="1"
          max="2000000000"
          :value="draft.people"
          @change="setDraft({ people: whole($event) })"
        />
      </label>
      <p v-if="outlook" class="note col-span-2" role="status">{{ outlook }}</p>
      <ArrivalFields
        v-if="!byDates"
        :plan="draft.arrivals"
        @change="setDraft({ arrivals: $event })"
      />
      <p v-else class="note col-span-2">{{ byDates }}</p>
      <label class="contents">
        <span><PlainTerm term="holdOut">Kept out to compare</PlainTerm>, %</span>
        <DraftInput
          type="number"
          class="field figure min-h-6.5! w-28! text-right"
          min="0"
          max="90"
          step="any"
          :value="Number((draft.holdOut * 100).toFixed(2))"
          @change="setDraft({ holdOut: percentOf($event) })"
        />
      </label>
      <label class="contents">
        <span>Followed for, days</span>
        <DraftInput
          type="number"
          class="field figure min-h-6.5! w-28! text-right"
          min="1"
          max="730"
          :value="draft.horizonDays"
          @change="setDraft({ horizonDays: whole($event) })"
        />
      </label>
      <label class="contents">
        <span><PlainTerm term="seed">Lot number</PlainTerm></span>
        <DraftInput
          type="number"
          class="field figure min-h-6.5! w-28! text-right"
          :value="draft.seed"
          @change="setDraft({ seed: whole($event) })"
        />
      </label>
      <p class="note col-span-2">
        The same number draws the same people, so two versions can be compared person by person.
      </p>
      <TogetherWith
        v-if="others.length"
        class="col-span-2"
        :others="others"
        :chosen="draft.together"
        @change="setDraft({ together: $event })"
      />
    </div>
    <GroupEditor
      v-for="(group, i) in behaviour.groups"
      :key="i"
      :group="group"
      :removable="behaviour.groups.length > 1"
      @change="setGroup(i, $event)"
      @remove="removeGroup(i)"
    />
    <div class="border-b border-line px-3 py-2">
      <button type="button" class="button button-small" @click="addGroup">Add a group</button>
    </div>
    <div class="panel-head"><h2>How they react</h2></div>
    <div class="grid grid-cols-[1fr_auto] items-center gap-x-2 gap-y-1.5 px-3 py-2">
      <template v-for="reaction in REACTIONS" :key="reaction.field">
        <PlainTerm v-if="reaction.term" :term="reaction.term">{{ reaction.name }}</PlainTerm>
        <span v-else>{{ reaction.name }}</span>
        <AssumedField
          :share="reaction.share"
          :label="reaction.label"
          :assumed="behaviour[reaction.field]"
          @change="set({ [reaction.field]: $event })"
        />
      </template>
    </div>
  </section>
</template>
