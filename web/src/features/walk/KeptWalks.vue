<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { Walker } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import Trouble from '@/ui/Trouble.vue'

/** Walks that are kept as tests of the journey: each is walked again as the journey is now. */
const props = defineProps<{ id: number; version: number; walker: Walker }>()
const emit = defineEmits<{ open: [walker: Walker] }>()

const { data: kept, error } = useQuery(() => questions.keptWalks(props.id, props.version))
const name = ref('')
const { failure, attempt } = useAttempt(error)

const change = (work: () => Promise<unknown>) =>
  attempt(async () => {
    await work()
    await outdated('kept-walks', props.id)
  })

async function keep() {
  const kept = await change(() =>
    answerOf(
      api.POST('/api/journeys/{id}/kept-walks', {
        params: { path: { id: props.id } },
        body: { name: name.value, walker: props.walker },
      }),
    ),
  )
  if (kept) name.value = ''
}

function forget(walk: number) {
  return change(() =>
    answerOf(
      api.DELETE('/api/journeys/{id}/kept-walks/{walk}', {
        params: { path: { id: props.id, walk } },
      }),
    ),
  )
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col" aria-labelledby="kept-walks">
    <div class="panel-head"><h2 id="kept-walks">Kept as tests</h2></div>
    <div class="min-h-0 flex-1 overflow-y-auto p-3" tabindex="0">
      <form class="mb-2 flex gap-2" @submit.prevent="keep">
        <input
          v-model="name"
          class="field"
          required
          maxlength="80"
          aria-label="Name of the walk"
          placeholder="such as: reads everything, buys nothing"
        />
        <button type="submit" class="button whitespace-nowrap">Keep this walk</button>
      </form>
      <Trouble v-if="failure" class="mb-2" :text="failure" />
      <p v-if="kept?.length === 0" class="text-ink2">
        A kept walk is walked again after every edit, and says when it comes out another way.
      </p>
      <ul>
        <li
          v-for="one in kept"
          :key="one.id"
          class="flex items-start gap-2 border-b border-line2 py-1.5 last:border-0"
        >
          <span class="flex-1"
            ><b>{{ one.name }}</b>
            <span class="block" :class="one.same ? 'text-ink2' : 'text-clay'">{{
              one.sentence
            }}</span></span
          >
          <button type="button" class="button button-small" @click="emit('open', one.walker)">
            Open
          </button>
          <button
            type="button"
            class="button button-small"
            :aria-label="`Forget ${one.name}`"
            @click="forget(one.id)"
          >
            Forget
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>
