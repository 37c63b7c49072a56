<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, shallowRef } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { TestSent } from '@/api/types'
import { useForm } from '@/api/useForm'
import ReaderChoice from './composer/ReaderChoice.vue'
import type { Reader } from './composer/useProof'

/** Sends all messages of a journey into the inbox, in their order, as one person would get them. */
const props = defineProps<{ begun: number | null }>()
const emit = defineEmits<{ close: [] }>()

const journeys = useQuery(questions.names())
const journey = ref<number | null>(props.begun)
const chosen = computed(() => journey.value ?? journeys.data.value?.[0]?.id ?? null)
const reader = ref<Reader>({ kind: 'nobody' })
const sent = shallowRef<TestSent | null>(null)
const { told, busy, send } = useForm()

async function sendAll() {
  sent.value = null
  await send(async () => {
    const who = reader.value
    sent.value = await answerOf(
      api.POST('/api/journeys/{id}/tests', {
        params: { path: { id: chosen.value! } },
        body: {
          person: who.kind === 'known' ? who.id : null,
          made: who.kind === 'made' ? who.person : null,
          to: null,
        },
      }),
    )
    await outdated('inbox')
  })
}
</script>

<template>
  <form class="panel grid gap-2 px-3 py-2" aria-label="Test a journey" @submit.prevent="sendAll">
    <div class="flex flex-wrap items-center gap-3">
      <label class="flex items-center gap-1.5"
        >All messages of
        <select
          class="field w-auto!"
          :value="chosen"
          @change="journey = Number(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="one in journeys.data.value" :key="one.id" :value="one.id">
            {{ one.name }}
          </option>
        </select></label
      >
      <span>as</span>
      <ReaderChoice v-model="reader" />
      <button type="submit" class="button button-main" :disabled="busy || chosen === null">
        Send them here
      </button>
      <button type="button" class="button" @click="emit('close')">Close</button>
      <span v-if="sent" role="status"
        >{{ sent.mails.length }} {{ sent.mails.length === 1 ? 'mail' : 'mails' }} to
        {{ sent.to }}</span
      >
    </div>
    <p v-if="told" class="text-clay" role="alert">{{ told }}</p>
    <ul v-if="sent?.skipped.length" class="note list-disc pl-5">
      <li v-for="one in sent.skipped" :key="one">{{ one }}</li>
    </ul>
  </form>
</template>
