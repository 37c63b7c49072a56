<script setup lang="ts">
import { computed } from 'vue'
import type { StepDocument } from '@/api/types'
import PartEditor from './PartEditor.vue'
import { fieldsOf, type Fields } from './shapes'

/** A step that is its fields: a strand, a hand-over, a notice, a text. */
const props = defineProps<{ step: StepDocument; emails: string[] }>()
const emit = defineEmits<{ change: [step: StepDocument] }>()

const LABELS: Record<string, string> = {
  strand: 'Strand',
  journey: 'To journey',
  thenFinish: 'they finish this journey',
  notice: 'Tell',
  message: 'Text',
  onlyIf: 'only if they',
  oncePerPerson: 'never the same text twice to one person',
}
const part = computed(
  () => `Step${props.step.kind.charAt(0).toUpperCase()}${props.step.kind.slice(1)}`,
)
const fields = computed(() => fieldsOf(part.value).filter((field) => field.name !== 'id'))
const values = computed(() => props.step as unknown as Fields)
const boxed = (name: string) => ['thenFinish', 'onlyIf', 'oncePerPerson'].includes(name)

function set(name: string, value: unknown) {
  emit('change', { ...values.value, [name]: value } as unknown as StepDocument)
}
</script>

<template>
  <div class="flex flex-col gap-2.5">
    <div v-for="field in fields" :key="field.name" class="flex items-start gap-3">
      <span v-if="!boxed(field.name)" class="w-20 pt-1.5 text-ink2">{{ LABELS[field.name] }}</span>
      <PartEditor
        :schema="field.schema"
        :value="values[field.name]"
        :label="LABELS[field.name] ?? field.name"
        :emails="emails"
        @change="set(field.name, $event)"
      />
    </div>
    <p v-if="step.kind === 'include'" class="note">
      The strand’s steps stand below it on the sheet. Changing a strand changes every journey that
      goes through it.
    </p>
  </div>
</template>
