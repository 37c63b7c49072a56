<script setup lang="ts">
import { nextTick, useTemplateRef, watch } from 'vue'
import type { WalkView } from '@/api/types'

/** What has happened, with the person's own date and time, and why each turn. */
const props = defineProps<{ lines: WalkView['lines']; chosen: string[] }>()
const emit = defineEmits<{ back: [step: string] }>()

const list = useTemplateRef<HTMLElement>('list')
watch(
  () => props.lines.length,
  () => void nextTick(() => list.value?.lastElementChild?.scrollIntoView({ block: 'nearest' })),
)

const TONES = {
  ENTRY: 'font-semibold',
  STEP: '',
  PERSON: 'text-vine font-medium',
  TURN: 'bg-sunk',
  END: 'bg-marigold-soft font-semibold',
} as const

/** A message about which a choice was made can be gone back to, where it was got. */
function canGoBack(line: WalkView['lines'][number]): boolean {
  return line.kind === 'STEP' && line.row !== null && props.chosen.includes(line.row)
}
</script>

<template>
  <ol ref="list" aria-label="Diary">
    <li
      v-for="(line, i) in lines"
      :key="i"
      class="grid grid-cols-[118px_1fr_auto] items-baseline gap-2 border-b border-line2 px-3 py-1"
      :class="TONES[line.kind]"
    >
      <span class="figure text-fine text-ink2">{{ line.when }}</span>
      <span>{{ line.sentence }}</span>
      <button
        v-if="canGoBack(line)"
        type="button"
        class="button button-small"
        @click="emit('back', line.row!)"
      >
        Choose otherwise
      </button>
    </li>
  </ol>
</template>
