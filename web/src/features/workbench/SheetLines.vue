<script setup lang="ts">
import { Flag, LogIn } from '@lucide/vue'
import type { SheetLine, UnderstoodView } from '@/api/types'
import EditableLine from './EditableLine.vue'
import { START } from './edits'
import { useSelection } from './selectionStore'
import SheetLineRow from './SheetLineRow.vue'

/** The lines of the run sheet that are about the whole journey: above its steps, or below. */
defineProps<{
  lines: SheetLine[]
  current: string | null
  editing: { row: string; slot: number } | null
  /** Why they are so, by line, if the journey's starter says. */
  reasons: Record<string, string>
  /** How a line is marked on which something would be dropped. */
  markOf: (line: string) => string
}>()
defineEmits<{
  edit: [line: string, slot: number]
  understood: [UnderstoodView]
  cancel: []
  over: [event: DragEvent, line: string]
  dropped: [event: DragEvent]
}>()

const selection = useSelection()
const GOAL = 'goal'
</script>

<template>
  <EditableLine
    v-for="line in lines"
    :key="line.id"
    :row="line.id"
    :typed="line.typed"
    :editing="editing"
    field-class="border-b border-line2 px-3"
    @understood="(result) => $emit('understood', result)"
    @cancel="$emit('cancel')"
  >
    <SheetLineRow
      :class="markOf(line.id)"
      :line="line"
      :quiet="line.id !== START && line.id !== GOAL"
      :reason="reasons[line.id]"
      :selected="line.id === selection.selected"
      :current="line.id === current"
      @select="selection.select(line.id)"
      @edit="(slot) => $emit('edit', line.id, slot)"
      @dragover="line.id === GOAL && $emit('over', $event, line.id)"
      @drop="line.id === GOAL && $emit('dropped', $event)"
    >
      <LogIn v-if="line.id === START" class="size-4 shrink-0 text-ink2" aria-hidden="true" />
      <Flag v-else-if="line.id === GOAL" class="size-4 shrink-0 text-ink2" aria-hidden="true" />
      <span v-else-if="line.id.startsWith(GOAL)" class="size-4 shrink-0" />
    </SheetLineRow>
  </EditableLine>
</template>
