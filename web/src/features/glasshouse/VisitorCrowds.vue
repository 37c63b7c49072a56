<script setup lang="ts">
import { computed } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { VisitorCrowd } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { shortMoment } from '@/ui/moments'

/** Those who were let come by themselves: how far they are. */
const props = defineProps<{ crowds: VisitorCrowd[] }>()

/** The newest, and all that still go on. */
const shown = computed(() => props.crowds.filter((one, i) => i === 0 || one.errands > 0))
const { failure, busy, attempt } = useAttempt()

function coming(crowd: VisitorCrowd): string {
  const came = `${count(crowd.came)} of ${count(crowd.people)} have signed up at “${crowd.entrance}”.`
  if (crowd.next === null) return `${came} They have done all that they were to do.`
  return `${came} The next thing that one of them does is on ${shortMoment(crowd.next)}.`
}

async function stop(crowd: VisitorCrowd) {
  await attempt(() =>
    answerOf(
      api.DELETE('/api/visitors/crowds/{crowd}/coming', { params: { path: { crowd: crowd.id } } }),
    ),
  )
  await outdated('visitors')
}
</script>

<template>
  <ul v-if="shown.length" aria-label="Crowds" class="mt-2 border-t border-line2 pt-1.5 text-note">
    <li v-for="crowd in shown" :key="crowd.id" class="py-1">
      {{ coming(crowd) }}
      <button
        v-if="crowd.came < crowd.people && crowd.next !== null"
        type="button"
        class="underline"
        :disabled="busy"
        @click="stop(crowd)"
      >
        Nobody else comes
      </button>
      <span v-if="crowd.failed" class="block text-clay">
        {{ crowd.failed === 1 ? '1 thing' : `${count(crowd.failed)} things` }} could not be done.
        {{ crowd.said }}
      </span>
    </li>
  </ul>
  <Trouble v-if="failure" class="mt-2" :text="failure" />
</template>
