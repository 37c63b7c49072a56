<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { Redo2, Undo2 } from '@lucide/vue'
import { useJourneyStore } from './journeyStore'

/** Undo and redo, by buttons and keys. */
const store = useJourneyStore()

useEventListener('keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || event.altKey) return
  const key = event.key.toLowerCase()
  const typing =
    event.target instanceof HTMLTextAreaElement ||
    (event.target instanceof HTMLInputElement && event.target.type !== 'checkbox')
  if (typing) return
  if (key === 'z' && !event.shiftKey) store.undo()
  else if (key === 'y' || (key === 'z' && event.shiftKey)) store.redo()
  else return
  event.preventDefault()
})
</script>

<template>
  <button
    type="button"
    class="button"
    :disabled="!store.canUndo"
    :title="`Undo ${store.undoName} (Ctrl Z)`"
    aria-label="Undo"
    @click="store.undo"
  >
    <Undo2 class="size-4" />
  </button>
  <button
    type="button"
    class="button"
    :disabled="!store.canRedo"
    :title="`Redo ${store.redoName} (Ctrl Shift Z)`"
    aria-label="Redo"
    @click="store.redo"
  >
    <Redo2 class="size-4" />
  </button>
</template>
