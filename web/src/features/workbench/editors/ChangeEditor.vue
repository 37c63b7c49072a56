<script setup lang="ts">
import type { ChangeDocument, ChangeStep } from '@/api/types'
import PartEditor from './PartEditor.vue'
import { part } from './shapes'

const props = defineProps<{ step: ChangeStep }>()
const emit = defineEmits<{ change: [step: ChangeStep] }>()

function set(changes: ChangeDocument[]) {
  emit('change', { ...props.step, changes })
}
</script>

<template>
  <div class="flex flex-col gap-2">
    <div v-for="(change, i) in step.changes" :key="i" class="flex items-center gap-2">
      <PartEditor
        :schema="part('RecordChange')"
        :value="change"
        label="Change"
        :emails="[]"
        @change="set(step.changes.with(i, $event as ChangeDocument))"
      />
      <button
        v-if="step.changes.length > 1"
        type="button"
        class="button button-small"
        @click="set(step.changes.toSpliced(i, 1))"
      >
        Remove
      </button>
    </div>
    <button
      type="button"
      class="button button-small self-start"
      @click="set([...step.changes, { kind: 'addTag', tag: 'new tag' }])"
    >
      And another change
    </button>
  </div>
</template>
