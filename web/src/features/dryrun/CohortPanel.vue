<script setup lang="ts">
import { computed } from 'vue'
import DraftInput from '@/ui/DraftInput.vue'
import type { BehaviourDocument, GroupDocument, JourneyDocument } from '@/api/types'
import AssumedField from './AssumedField.vue'
import GroupEditor from './GroupEditor.vue'

/** Who enters, and how they react in general. */
const props = defineProps<{
  behaviour: BehaviourDocument
  /** What brings people in, which says when. */
  triggers: JourneyDocument['triggers']
  people: number
  seed: number
  horizonDays: number
}>()
const emit = defineEmits<{
  change: [behaviour: BehaviourDocument]
  'update:people': [people: number]
  'update:seed': [seed: number]
  'update:horizonDays': [days: number]
}>()

const arrival = computed(() => {
  const all = (kind: string) =>
    props.triggers.length > 0 && props.triggers.every((one) => one.kind === kind)
  if (all('dateComes')) return 'They come when their own dates say so.'
  return all('onDate') ? 'They all come together, on the day.' : 'They come evenly over a week.'
})

const REACTIONS = [
  {
    field: 'openMedianHours',
    name: 'Half of openers by, hours',
    label: 'Half of openers have opened by, hours',
    share: false,
  },
  {
    field: 'openSigma',
    name: 'Spread of that (sigma)',
    label: 'Spread of the time to an open',
    share: false,
  },
  {
    field: 'clickMedianMinutes',
    name: 'Click after, minutes',
    label: 'Median minutes from open to click',
    share: false,
  },
  {
    field: 'buyAfterClick',
    name: 'Buy after a click',
    label: 'Buy after a click',
    share: true,
  },
  {
    field: 'buyMeanHours',
    name: 'Bought after, hours',
    label: 'Mean hours from click to purchase',
    share: false,
  },
] as const

function set(part: Partial<BehaviourDocument>) {
  emit('change', { ...props.behaviour, ...part })
}

/** The other groups keep their proportions, so that all shares still add up. */
function setGroup(index: number, group: GroupDocument) {
  const before = props.behaviour.groups[index]!
  const groups = props.behaviour.groups.with(index, group)
  if (group.share === before.share || groups.length === 1) {
    set({ groups: groups.length === 1 ? [{ ...group, share: 1 }] : groups })
    return
  }
  set({ groups: shareOut(groups, index) })
}

function shareOut(groups: GroupDocument[], fixed: number): GroupDocument[] {
  const rest = 1 - groups[fixed]!.share
  const others = groups.reduce((sum, group, i) => sum + (i === fixed ? 0 : group.share), 0)
  return groups.map((group, i) => {
    if (i === fixed) return group
    const part = others > 0 ? group.share / others : 1 / (groups.length - 1)
    return { ...group, share: rest * part }
  })
}

function addGroup() {
  const last = props.behaviour.groups.at(-1)!
  const added = { ...last, name: `Group ${props.behaviour.groups.length + 1}`, share: 0.2 }
  set({ groups: shareOut([...props.behaviour.groups, added], props.behaviour.groups.length) })
}

function removeGroup(index: number) {
  const groups = props.behaviour.groups.toSpliced(index, 1)
  const total = groups.reduce((sum, group) => sum + group.share, 0)
  set({
    groups: groups.map((group) => ({
      ...group,
      share: total > 0 ? group.share / total : 1 / groups.length,
    })),
  })
}

function whole(event: Event): number {
  return Math.round((event.target as HTMLInputElement).valueAsNumber)
}
</script>

<template>
  <section class="panel min-h-0 overflow-y-auto" aria-labelledby="who" tabindex="0">
    <div class="panel-head"><h2 id="who">Who enters</h2></div>
    <div
      class="grid grid-cols-[1fr_auto] items-center gap-x-2 gap-y-1.5 border-b border-line2 px-3 py-2"
    >
      <label class="contents">
        <span>People</span>
        <DraftInput
          type="number"
          class="field figure min-h-[26px]! w-28! text-right"
          min="1"
          max="1000000"
          :value="people"
          @change="emit('update:people', whole($event))"
        />
      </label>
      <label class="contents">
        <span>Seed</span>
        <DraftInput
          type="number"
          class="field figure min-h-[26px]! w-28! text-right"
          :value="seed"
          @change="emit('update:seed', whole($event))"
        />
      </label>
      <label class="contents">
        <span>Followed for, days</span>
        <DraftInput
          type="number"
          class="field figure min-h-[26px]! w-28! text-right"
          min="1"
          max="730"
          :value="horizonDays"
          @change="emit('update:horizonDays', whole($event))"
        />
      </label>
      <p class="note col-span-2">
        {{ arrival }} The same seed gives the same people, so two versions can be compared person by
        person.
      </p>
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
        <span>{{ reaction.name }}</span>
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
