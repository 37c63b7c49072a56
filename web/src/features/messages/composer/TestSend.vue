<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { TestSent } from '@/api/types'
import { useForm } from '@/api/useForm'
import { fileSize } from '@/ui/figures'
import Labelled from '@/ui/Labelled.vue'
import { useManuscript } from './manuscriptStore'
import type { Reader } from './useProof'

/** Sends what is saved as a mail, over SMTP into the inbox of the stand-in mail server. */
const props = defineProps<{ reader: Reader; called: string }>()
const emit = defineEmits<{ close: [] }>()
const store = useManuscript()

const account = useQuery(questions.account())
const own = computed(() => account.data.value?.account.senders[0]?.address ?? '')
const to = ref('')
watch(own, (address) => (to.value ||= address), { immediate: true })
const sent = shallowRef<TestSent | null>(null)
const { wrong, failure, busy, send } = useForm('to')

async function sendIt() {
  sent.value = null
  await send(async () => {
    await store.idle()
    if (store.save.status !== 'saved') {
      throw new Error('What was changed last is not saved, so it is not sent.')
    }
    sent.value = await answerOf(
      api.POST('/api/messages/{id}/tests', {
        params: { path: { id: store.sheet!.id } },
        body: {
          person: props.reader.kind === 'known' ? props.reader.id : null,
          made: props.reader.kind === 'made' ? props.reader.person : null,
          to: to.value.trim() || null,
        },
      }),
    )
    await outdated('inbox')
  })
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="Test">
    <div class="panel-head">
      <h2>Send me a test</h2>
      <button type="button" class="button button-small ml-auto" @click="emit('close')">
        Back to the proof
      </button>
    </div>
    <form class="grid max-w-120 gap-3 p-4" @submit.prevent="sendIt">
      <p>
        The message as <b>{{ called || 'a reader without anything' }}</b> would get it, over SMTP
        into the stand-in mail server of this machine. It counts for nobody.
      </p>
      <Labelled id="test-to" name="To" :wrong="wrong['to']">
        <template #default="{ described }">
          <input
            id="test-to"
            v-model="to"
            class="field"
            type="email"
            maxlength="254"
            :aria-invalid="!!wrong['to']"
            :aria-describedby="described"
          />
        </template>
      </Labelled>
      <p v-if="failure" class="warning" role="alert">{{ failure }}</p>
      <div class="flex items-center gap-3">
        <button type="submit" class="button button-main" :disabled="busy">Send the test</button>
        <p v-if="sent" role="status">
          Sent to {{ sent.to }}: {{ fileSize(sent.mails[0]?.bytes ?? 0) }}, taken within
          {{ sent.mails[0]?.millis }} ms.
          <RouterLink class="underline" :to="{ name: 'inbox' }">Read it in the inbox</RouterLink>
        </p>
      </div>
    </form>
  </section>
</template>
