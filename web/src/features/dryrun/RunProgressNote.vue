<script setup lang="ts">
import { computed } from 'vue'
import type { RunProgress } from '@/api/types'
import { count } from '@/ui/figures'

/** How far a run is, with a way to stop it. */
const props = defineProps<{ progress: RunProgress }>()
const emit = defineEmits<{ cancel: []; dismiss: [] }>()

const words = computed(() => {
  const { state, done, people, peoplePerSecond, secondsLeft, said } = props.progress
  if (said) return said
  if (state === 'QUEUED') return 'Waits for the run before it.'
  const left = secondsLeft == null ? '' : ` · ${Math.max(0, secondsLeft).toFixed(1)} s left`
  return `${count(done)} of ${count(people)} people · ${count(peoplePerSecond)} a second${left}`
})
</script>

<template>
  <section class="panel flex items-center gap-3 px-3 py-1.5" role="status" aria-label="Run">
    <progress
      v-if="!progress.said"
      class="h-2 w-64 accent-vine"
      :value="progress.done"
      :max="progress.people"
      aria-label="People through"
    />
    <span class="figure text-note">{{ words }}</span>
    <button
      v-if="progress.said"
      type="button"
      class="button button-small ml-auto"
      @click="emit('dismiss')"
    >
      Good
    </button>
    <button v-else type="button" class="button button-small ml-auto" @click="emit('cancel')">
      Cancel the run
    </button>
  </section>
</template>
