<script setup lang="ts">
import type { FindingView, Row, StepMeasures, UnderstoodView } from '@/api/types'
import EditableLine from './EditableLine.vue'
import RunSheetRow from './RunSheetRow.vue'

/**
 * A step of the run sheet, or the field to type it in. Everything it shows is a prop: in a long
 * journey only the steps are drawn again of which something else is to be seen.
 */
defineProps<{
  row: Row
  /** Where the cursor goes if the line is being edited, else null. */
  editing: { row: string; slot: number } | null
  measures: StepMeasures | null
  reach: number | null
  findings: FindingView[]
  reason?: string
  selected: boolean
  hovered: boolean
  current: boolean
  folded: number | null
}>()
defineEmits<{
  select: [event: MouseEvent]
  edit: [slot: number]
  fold: []
  understood: [UnderstoodView]
  cancel: []
}>()
</script>

<template>
  <EditableLine
    :row="row.id"
    :typed="row.typed"
    :editing="editing"
    field-class="border-b border-line2 bg-marigold-soft pr-2 pl-19.5"
    @understood="(result) => $emit('understood', result)"
    @cancel="$emit('cancel')"
  >
    <RunSheetRow
      :row="row"
      :measures="measures"
      :reach="reach"
      :findings="findings"
      :reason="reason"
      :hovered="hovered"
      :selected="selected"
      :current="current"
      :folded="folded"
      @select="(event) => $emit('select', event)"
      @edit="(slot) => $emit('edit', slot)"
      @fold="$emit('fold')"
    />
  </EditableLine>
</template>
