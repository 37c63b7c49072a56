<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { useTemplateRef } from 'vue'
import type { UnderstoodView } from '@/api/types'
import RemoveQuestion from './RemoveQuestion.vue'
import RemoveSeveral from './RemoveSeveral.vue'
import { useSelection } from './selectionStore'
import SheetStep from './SheetStep.vue'
import type { useDragging } from './useDragging'
import type { useRemoving } from './useRemoving'
import { useLostFocus } from './useRowFocus'
import { useRowFigures } from './useRowFigures'
import type { Sheet } from './useSheet'

/** The steps of the run sheet, each with its figures; a question about removing stands in place. */
defineProps<{
  sheet: Sheet
  editing: { row: string; slot: number } | null
  reasons: Record<string, string>
  dragging: ReturnType<typeof useDragging>
  removing: ReturnType<typeof useRemoving>
  markOf: (row: string) => string
}>()
const emit = defineEmits<{
  select: [row: string, event: MouseEvent]
  edit: [row: string, slot: number]
  understood: [UnderstoodView]
  cancel: []
  lostFocus: []
}>()

const selection = useSelection()
const { chosen } = storeToRefs(selection)
const list = useTemplateRef<HTMLElement>('list')
useLostFocus(list, () => emit('lostFocus'))
const { reachOf, measuresOf, findingsOf } = useRowFigures()
</script>

<template>
  <ol ref="list" aria-label="Steps">
    <li
      v-for="row in sheet.shown.value.rows"
      :key="row.id"
      :draggable="row.kind !== 'ARM' && !row.ofStrand && editing?.row !== row.id"
      :class="[markOf(row.id), { 'opacity-50': dragging.dragged.value.includes(row.id) }]"
      @dragstart="dragging.start($event, row.id)"
      @pointerenter="selection.hovered = row.id"
      @pointerleave="selection.hovered = null"
      @dragover="dragging.over($event, row.id)"
      @drop="dragging.dropped"
    >
      <SheetStep
        :row="row"
        :editing="editing?.row === row.id ? editing : null"
        :measures="measuresOf(row)"
        :reach="reachOf(row)"
        :findings="findingsOf(row)"
        :reason="reasons[row.id]"
        :hovered="row.id === selection.hovered"
        :selected="chosen.includes(row.id)"
        :current="row.id === sheet.current.value"
        :folded="
          sheet.folded.value.has(row.id) ? (sheet.shown.value.hidden.get(row.id) ?? 0) : null
        "
        @select="(event) => emit('select', row.id, event)"
        @edit="(slot) => emit('edit', row.id, slot)"
        @fold="sheet.toggle(row.id)"
        @understood="(result) => emit('understood', result)"
        @cancel="emit('cancel')"
      />
      <template v-if="row.id === removing.asking.value?.row">
        <RemoveSeveral
          v-if="removing.asking.value.rows.length > 1"
          :steps="removing.asking.value.steps"
          @remove="removing.removeAll"
          @cancel="removing.keep"
        />
        <RemoveQuestion
          v-else-if="removing.askedStep.value && removing.removal.value"
          :step="removing.askedStep.value"
          :removal="removing.removal.value"
          @only="removing.removeOne(row.id, 'only')"
          @rest="removing.removeOne(row.id, 'rest')"
          @cancel="removing.keep"
        />
      </template>
    </li>
    <li v-if="sheet.rows.value.length === 0" class="px-4 py-6 text-ink2">
      An empty sheet. Type the first step below: usually the email that people asked for.
    </li>
  </ol>
</template>
