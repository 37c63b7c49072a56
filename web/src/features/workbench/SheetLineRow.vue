<script setup lang="ts">
import type { SheetLine } from '@/api/types'
import Sentence from '@/ui/Sentence.vue'
import { chosenSlot } from './typing/slots'

/** A line of the run sheet that is about the whole journey. */
const props = defineProps<{
  line: SheetLine
  /** Why it is so, if the journey's starter says. */
  reason?: string
  quiet?: boolean
  selected: boolean
  current: boolean
}>()
const emit = defineEmits<{ select: []; edit: [slot: number] }>()

function onClick(event: MouseEvent) {
  const slot = props.selected ? chosenSlot(event, props.line) : null
  if (slot === null) emit('select')
  else emit('edit', slot)
}
</script>

<template>
  <button
    type="button"
    :aria-current="current"
    :aria-pressed="selected"
    :tabindex="current ? 0 : -1"
    :data-row="line.id"
    class="flex w-full items-center gap-2 border-b border-line2 px-3 text-left"
    :class="[
      quiet ? 'min-h-6.5 py-0.5 text-note text-ink2' : 'min-h-9 py-1.5',
      selected
        ? 'bg-marigold-soft shadow-[inset_3px_0_0_var(--color-marigold)] slots'
        : 'hover:bg-sunk',
    ]"
    @click="onClick"
    @dblclick="emit('edit', 0)"
  >
    <slot />
    <span class="min-w-0">
      <Sentence :phrase="line.sentence" />
      <span v-if="reason" class="reason">{{ reason }}</span>
    </span>
  </button>
</template>
