<script setup lang="ts">
import { computed } from 'vue'
import type { RunProgress } from '@/api/types'
import { count, lasting } from '@/ui/figures'

/** How far a run is, with a way to stop it. */
const props = defineProps<{ progress: RunProgress }>()
const emit = defineEmits<{ cancel: []; dismiss: [] }>()

function timeLeft(seconds: number): string {
  return seconds < 10 ? `${Math.max(0, seconds).toFixed(1)} s` : lasting(seconds)
}

const words = computed(() => {
  const { state, done, people, peoplePerSecond, secondsLeft, said } = props.progress
  if (said) return said
  if (state === 'QUEUED') return 'Waits for the run before it.'
  if (done === 0) return `Begins with ${count(people)} people.`
  const left = secondsLeft == null ? '' : ` · ${timeLeft(secondsLeft)} left`
  return `${count(done)} of ${count(people)} people · ${count(peoplePerSecond)} a second${left}`
})
</script>

<template>
  <section class="panel flex items-center gap-3 px-3 py-1.5" role="status" aria-label="Run">
    <progress
      v-if="!progress.said"
      class="h-2 w-64"
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
