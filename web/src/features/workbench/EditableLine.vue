<script setup lang="ts">
import type { Phrase, UnderstoodView } from '@/api/types'
import TypedLine from './typing/TypedLine.vue'

/** A line of the run sheet, or while it is being edited the field to type it in. */
defineProps<{
  row: string
  typed?: Phrase
  editing: { row: string; slot: number } | null
  /** How the field stands, so that the words stay where they are. */
  fieldClass: string
}>()
defineEmits<{ understood: [UnderstoodView]; cancel: [] }>()
</script>

<template>
  <TypedLine
    v-if="editing?.row === row"
    :class="fieldClass"
    :row="row"
    :replaced="typed"
    :slot-at="editing.slot"
    label="Change the sentence"
    @understood="(result) => $emit('understood', result)"
    @cancel="$emit('cancel')"
  />
  <slot v-else />
</template>
