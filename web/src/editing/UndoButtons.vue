<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { Redo2, Undo2 } from '@lucide/vue'

/** Undo and redo of what is open, by buttons and keys. */
const { edits } = defineProps<{
  edits: {
    canUndo: boolean
    canRedo: boolean
    undoName: string | null
    redoName: string | null
    undo: () => void
    redo: () => void
  }
}>()

useEventListener('keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || event.altKey) return
  const key = event.key.toLowerCase()
  const typing =
    event.target instanceof HTMLTextAreaElement ||
    (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox')
  if (typing) return
  if (key === 'z' && !event.shiftKey) edits.undo()
  else if (key === 'y' || (key === 'z' && event.shiftKey)) edits.redo()
  else return
  event.preventDefault()
})
</script>

<template>
  <button
    type="button"
    class="button"
    :disabled="!edits.canUndo"
    :title="`Undo ${edits.undoName} (Ctrl Z)`"
    aria-label="Undo"
    @click="edits.undo"
  >
    <Undo2 class="size-4" />
  </button>
  <button
    type="button"
    class="button"
    :disabled="!edits.canRedo"
    :title="`Redo ${edits.redoName} (Ctrl Shift Z)`"
    aria-label="Redo"
    @click="edits.redo"
  >
    <Redo2 class="size-4" />
  </button>
</template>
