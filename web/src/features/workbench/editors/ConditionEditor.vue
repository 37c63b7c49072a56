<script setup lang="ts">
import { computed } from 'vue'
import type { ConditionDocument } from '@/api/types'
import { partsOf } from '../edits'
import { useLibrary } from '../useLibrary'
import PartEditor from './PartEditor.vue'
import { part } from './shapes'

/** A condition: questions joined by all, any or none; nested ones are kept and edited in turn. */
const props = defineProps<{
  condition: ConditionDocument
  emails: string[]
  depth?: number
  /** It is asked of people outside of any journey. */
  people?: boolean
}>()
const emit = defineEmits<{ change: [condition: ConditionDocument] }>()

type Joined = 'all' | 'any' | 'none'

const JOINED = ['all', 'any', 'none']
const ABOUT_EMAIL = ['delivered', 'bounced', 'opened', 'clicked']
const ABOUT_VISIT = [
  ...ABOUT_EMAIL,
  'oftenOpened',
  'oftenClicked',
  'cameByForm',
  'cameByJourney',
  'cameByList',
  'cameByOrder',
]

const { knownNames } = useLibrary()
const parts = computed(() => partsOf(props.condition))
const joined = computed<Joined>(() =>
  'parts' in props.condition ? (props.condition.kind as Joined) : 'all',
)
const without = computed(() => {
  if (props.people) return [...JOINED, ...ABOUT_VISIT]
  return props.emails.length ? JOINED : [...JOINED, ...ABOUT_EMAIL]
})

function join(kind: Joined, all: ConditionDocument[]) {
  if (all.length === 0) return
  const plain = all.length === 1 && kind !== 'none'
  emit('change', plain ? all[0]! : { kind, parts: all })
}

function replace(index: number, part: ConditionDocument) {
  join(joined.value, parts.value.with(index, part))
}

function add() {
  const step = props.emails.at(-1)
  const question: ConditionDocument = step
    ? { kind: 'opened', email: { kind: 'ofStep', step }, peopleOnly: false, within: null }
    : { kind: 'hasTag', tag: (props.people && knownNames('TagName')[0]) || 'new tag' }
  join(joined.value, [...parts.value, question])
}
</script>

<template>
  <div class="flex flex-col gap-1.5">
    <div v-for="(one, i) in parts" :key="i" class="flex items-start gap-1.5">
      <select
        v-if="i === 0"
        class="field w-20!"
        :value="joined"
        aria-label="How the questions are joined"
        @change="join(($event.target as HTMLSelectElement).value as Joined, parts)"
      >
        <option value="all">all of</option>
        <option value="any">any of</option>
        <option value="none">none of</option>
      </select>
      <span v-else class="w-20 shrink-0 pt-1.5 text-right text-ink2">
        {{ joined === 'all' ? 'and' : joined === 'any' ? 'or' : 'nor' }}
      </span>
      <ConditionEditor
        v-if="'parts' in one"
        class="rounded-lg border border-line2 p-1.5"
        :condition="one"
        :emails="emails"
        :depth="(depth ?? 0) + 1"
        :people="people"
        @change="replace(i, $event)"
      />
      <PartEditor
        v-else
        class="flex-1"
        :schema="part('Condition')"
        :value="one"
        label="Question"
        :emails="emails"
        :without="without"
        @change="replace(i, $event as ConditionDocument)"
      />
      <button
        v-if="parts.length > 1"
        type="button"
        class="button button-small mt-0.5"
        aria-label="Remove this question"
        @click="join(joined, parts.toSpliced(i, 1))"
      >
        Remove
      </button>
      <button
        v-if="i === parts.length - 1"
        type="button"
        class="button button-small mt-0.5"
        @click="add"
      >
        And another
      </button>
    </div>
  </div>
</template>
