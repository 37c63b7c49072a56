<script setup lang="ts">
import { NodeViewWrapper, nodeViewProps } from '@tiptap/vue-3'
import { computed } from 'vue'
import type { MergeField } from '@/api/types'
import { chipText, mayBeHole } from './words'

/** A field within a text; chosen as any letter is, and edited below the text. */
const props = defineProps(nodeViewProps)
const field = computed(() => props.node.attrs['field'] as MergeField)
</script>

<template>
  <NodeViewWrapper
    as="span"
    class="merge-chip"
    :class="{ 'merge-chip-chosen': selected, 'merge-chip-hole': mayBeHole(field) }"
    :data-field="JSON.stringify(field)"
    >{{ chipText(field) }}</NodeViewWrapper
  >
</template>
