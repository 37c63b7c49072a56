<script setup lang="ts">
import type { ChangeDocument, ChangeStep } from '@/api/types'
import NameField from './NameField.vue'

const props = defineProps<{ step: ChangeStep }>()
const emit = defineEmits<{ change: [step: ChangeStep] }>()

const KINDS = [
  ['addTag', 'add tag'],
  ['removeTag', 'remove tag'],
  ['joinList', 'add to list'],
  ['leaveList', 'take off list'],
  ['moveToList', 'move to list'],
  ['copyToList', 'copy to list'],
] as const

function replace(index: number, change: ChangeDocument) {
  emit('change', { ...props.step, changes: props.step.changes.with(index, change) })
}

function setKind(index: number, event: Event) {
  const kind = (event.target as HTMLSelectElement).value as ChangeDocument['kind']
  const now = props.step.changes[index]!
  const list = 'list' in now ? now.list : 'new list'
  const tag = 'tag' in now ? now.tag : 'new tag'
  if (kind === 'addTag' || kind === 'removeTag') replace(index, { kind, tag })
  else if (kind === 'moveToList') replace(index, { kind, list, from: ['old list'] })
  else replace(index, { kind, list })
}

function add() {
  emit('change', {
    ...props.step,
    changes: [...props.step.changes, { kind: 'addTag', tag: 'new tag' }],
  })
}
</script>

<template>
  <div class="flex flex-col gap-2">
    <div v-for="(change, i) in step.changes" :key="i" class="flex items-center gap-2">
      <select
        class="field w-36!"
        :value="change.kind"
        aria-label="Change"
        @change="setKind(i, $event)"
      >
        <option v-for="[kind, name] in KINDS" :key="kind" :value="kind">{{ name }}</option>
      </select>
      <NameField
        v-if="'tag' in change"
        what="tag"
        :value="change.tag"
        @change="replace(i, { ...change, tag: $event })"
      />
      <NameField
        v-else
        what="list"
        :value="change.list"
        @change="replace(i, { ...change, list: $event })"
      />
      <template v-if="change.kind === 'moveToList'">
        <span class="text-ink2">leaving</span>
        <NameField
          what="list"
          label="List to leave"
          :value="change.from.join(', ')"
          @change="
            replace(i, {
              ...change,
              from: $event
                .split(',')
                .map((s) => s.trim())
                .filter(Boolean),
            })
          "
        />
      </template>
      <button
        v-if="step.changes.length > 1"
        type="button"
        class="button button-small"
        @click="emit('change', { ...step, changes: step.changes.toSpliced(i, 1) })"
      >
        Remove
      </button>
    </div>
    <button type="button" class="button button-small self-start" @click="add">
      And another change
    </button>
  </div>
</template>
