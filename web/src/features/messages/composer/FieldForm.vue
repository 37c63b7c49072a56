<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import type { FieldFormat, FieldSource, MergeField } from '@/api/types'
import { FORMATS, mayBeHole, OWN_SOURCES, sourceName } from './words'

/** What a field is filled with, what stands there otherwise, and how it is written. */
const props = defineProps<{ field: MergeField }>()
const emit = defineEmits<{ change: [field: MergeField] }>()

const names = useQuery(questions.registeredNames())
const fields = computed(() => [
  ...new Set([
    ...(names.data.value ?? []).filter((one) => one.kind === 'FIELD').map((one) => one.name),
    ...(props.field.source.kind === 'ofField' ? [props.field.source.field] : []),
  ]),
])
const chosen = computed(() =>
  props.field.source.kind === 'ofField'
    ? `field:${props.field.source.field}`
    : props.field.source.kind,
)

function choose(event: Event) {
  const value = (event.target as HTMLSelectElement).value
  const source = value.startsWith('field:')
    ? { kind: 'ofField', field: value.slice('field:'.length) }
    : { kind: value }
  emit('change', { ...props.field, source: source as FieldSource })
}

function write(part: Partial<MergeField>) {
  emit('change', { ...props.field, ...part })
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Field">
    <select class="field w-auto!" aria-label="What stands here" :value="chosen" @change="choose">
      <option v-for="kind in OWN_SOURCES" :key="kind" :value="kind">
        {{ sourceName({ kind }) }}
      </option>
      <optgroup v-if="fields.length" label="Fields of the record">
        <option v-for="name in fields" :key="name" :value="`field:${name}`">{{ name }}</option>
      </optgroup>
    </select>
    <label class="flex items-center gap-1.5"
      >or
      <input
        class="field w-32!"
        maxlength="80"
        placeholder="for those without"
        :aria-invalid="mayBeHole(field)"
        :value="field.fallback"
        @input="write({ fallback: ($event.target as HTMLInputElement).value })"
    /></label>
    <select
      class="field w-auto!"
      aria-label="How it is written"
      :value="field.format"
      @change="write({ format: ($event.target as HTMLSelectElement).value as FieldFormat })"
    >
      <option v-for="(words, format) in FORMATS" :key="format" :value="format">{{ words }}</option>
    </select>
  </div>
</template>
