<script setup lang="ts">
import { computed } from 'vue'
import type { FindingView } from '@/api/types'
import { findStep, wholeOf } from './edits'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'

const props = defineProps<{ finding: FindingView; showPlace?: boolean }>()
const NAMES = { ERROR: 'Error', WARNING: 'Check', NOTE: 'Note' } as const

const store = useJourneyStore()
const selection = useSelection()

/** What is wrong with a message is mended there. */
const message = computed(() => {
  if (!props.finding.code.startsWith('message-') || !props.finding.step) return null
  const step = store.view ? findStep(wholeOf(store.view), props.finding.step) : null
  return step && 'message' in step ? (step.message as string) : null
})

function mend() {
  const fix = props.finding.fix
  if (fix) store.mend(fix)
}
</script>

<template>
  <div
    class="flex items-center gap-3"
    :class="finding.severity === 'NOTE' ? 'rounded-lg bg-slate-soft px-2.5 py-1.5' : 'warning'"
  >
    <b :class="finding.severity === 'NOTE' ? 'text-ink2' : 'text-clay'">{{
      NAMES[finding.severity]
    }}</b>
    <span class="flex-1">{{ finding.sentence }}</span>
    <button
      v-if="showPlace && finding.step"
      type="button"
      class="button button-small"
      @click="selection.select(finding.step)"
    >
      Show
    </button>
    <RouterLink
      v-if="message"
      class="button button-small"
      :to="{ name: 'composer', params: { id: message } }"
      >Open the message</RouterLink
    >
    <button
      v-if="finding.fix"
      type="button"
      class="button button-small"
      title="F9 on the row does the same"
      @click="mend"
    >
      {{ finding.fix.label }}
    </button>
  </div>
</template>
