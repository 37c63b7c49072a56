<script setup lang="ts">
import { computed } from 'vue'
import { answerOf, api } from '@/api/client'
import { isOver, outdated } from '@/api/queries'
import type { ActView } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'

/** Something that was done to many people: how far it is, what came of it, and the way back. */
const props = defineProps<{ act: ActView }>()
const { failure, busy, attempt } = useAttempt()

const done = computed(() => (props.act.size ? props.act.done / props.act.size : 0))
const when = computed(() =>
  new Date(props.act.at * 1000).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  }),
)
const refused = computed(() =>
  props.act.refused > 0 ? `/api/people-tables/of-act/${props.act.id}/refused.csv` : null,
)

async function ask(way: 'back' | 'on') {
  await attempt(() =>
    answerOf(
      way === 'back'
        ? api.POST('/api/people-acts/{id}/back', { params: { path: { id: props.act.id } } })
        : api.POST('/api/people-acts/{id}/on', { params: { path: { id: props.act.id } } }),
    ),
  )
  await outdated('people')
}
</script>

<template>
  <li class="flex flex-wrap items-center gap-x-2 gap-y-1 border-line2 py-1.5 not-last:border-b">
    <b class="font-semibold">{{ act.says }}</b>
    <span class="figure text-note text-ink2">{{ when }}</span>
    <progress
      v-if="!isOver(act)"
      class="h-1.5 w-28"
      :value="done"
      :aria-label="`${act.says}: how far it is`"
    />
    <span class="text-ink2" aria-live="polite">{{ act.sentence }}</span>
    <a v-if="refused && act.state === 'DONE'" class="underline" :href="refused" download
      >The refused rows and why</a
    >
    <button
      v-if="act.state === 'DONE' || act.state === 'UNDER_WAY'"
      type="button"
      class="min-h-6 underline hover:text-vine"
      :disabled="busy"
      @click="ask('back')"
    >
      {{ act.state === 'DONE' ? 'Take back' : 'Stop and take back' }}
    </button>
    <template v-if="act.failure">
      <span class="text-clay">{{ act.failure }}</span>
      <button type="button" class="button button-small" :disabled="busy" @click="ask('on')">
        Go on
      </button>
    </template>
    <span v-if="failure" class="text-clay" role="alert">{{ failure }}</span>
  </li>
</template>
