<script setup lang="ts">
import { computed, onMounted, useTemplateRef } from 'vue'
import type { StepDocument } from '@/api/types'
import type { Removal } from './edits'

const props = defineProps<{ step: StepDocument; removal: Removal }>()
const emit = defineEmits<{ only: []; rest: []; cancel: [] }>()

const first = useTemplateRef<HTMLButtonElement>('first')
onMounted(() => {
  first.value?.focus()
  first.value?.scrollIntoView({ block: 'nearest' })
})

const steps = (n: number) => (n === 1 ? '1 step' : `${n} steps`)
const only = computed(() => {
  if (props.step.kind !== 'branch') return 'Only this (what follows closes up)'
  const lost = props.removal.lostWithBranch
  return `Only this branch (arm A stays${lost ? `, ${steps(lost)} of other arms ${lost === 1 ? 'goes' : 'go'}` : ''})`
})
const all = computed(() => steps(1 + props.removal.inside + props.removal.after))
</script>

<template>
  <div
    class="flex flex-wrap items-center gap-2 border-b border-line bg-clay-soft px-3 py-2"
    role="group"
    aria-label="Remove this step?"
    @keydown.esc.stop="emit('cancel')"
  >
    <b class="text-clay">Remove?</b>
    <button
      ref="first"
      type="button"
      class="button button-small py-0.5 text-left whitespace-normal!"
      @click="emit('only')"
    >
      {{ only }}
    </button>
    <button type="button" class="button button-small" @click="emit('rest')">
      This and all in its branch ({{ all }})
    </button>
    <button type="button" class="button button-small" @click="emit('cancel')">Keep</button>
  </div>
</template>
