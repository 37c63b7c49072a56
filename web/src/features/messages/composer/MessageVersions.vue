<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answerOf, api } from '@/api/client'
import { questions } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import { fullMoment } from '@/ui/moments'
import { useManuscript } from './manuscriptStore'

/** Every save of a message, told by what it changed. */
const emit = defineEmits<{ close: [] }>()
const store = useManuscript()
const history = useQuery(
  computed(() => questions.messageHistory(store.sheet!.id, store.sheet!.version)),
)
const { failure, attempt } = useAttempt(history.error)

async function restore(version: number) {
  await attempt(async () => {
    const then = await answerOf(
      api.GET('/api/messages/{id}/history/{version}', {
        params: { path: { id: store.sheet!.id, version } },
      }),
    )
    store.edit(`went back to version ${version}`, (now) => ({
      ...now,
      manuscript: then.manuscript,
    }))
  })
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="Versions">
    <div class="panel-head">
      <h2>Versions</h2>
      <button type="button" class="button button-small ml-auto" @click="emit('close')">
        Back to the proof
      </button>
    </div>
    <p v-if="failure" class="warning m-3" role="alert">{{ failure }}</p>
    <ol class="min-h-0 flex-1 overflow-y-auto" tabindex="0" aria-label="Saves, the newest first">
      <li
        v-for="one in history.data.value"
        :key="one.version"
        class="border-b border-line2 px-3 py-2"
      >
        <p class="flex items-center gap-2">
          <b class="figure">v{{ one.version }}</b>
          <span class="note">{{ fullMoment(one.at) }}</span>
          <button
            v-if="one.version !== store.sheet?.version"
            type="button"
            class="button button-small ml-auto"
            @click="restore(one.version)"
          >
            Go back to this
          </button>
          <span v-else class="note ml-auto">as it is now</span>
        </p>
        <ul class="mt-1">
          <li
            v-for="(change, i) in one.changes.slice(0, 12)"
            :key="i"
            class="truncate"
            :class="change.added ? 'text-pine' : 'text-ink2 line-through'"
            :title="change.line"
          >
            {{ change.line }}
          </li>
          <li v-if="one.changes.length > 12" class="note">
            and {{ one.changes.length - 12 }} lines more
          </li>
          <li v-if="one.changes.length === 0" class="note">
            {{ one.version === 1 ? 'as it was begun' : 'nothing that is read' }}
          </li>
        </ul>
      </li>
    </ol>
  </section>
</template>
