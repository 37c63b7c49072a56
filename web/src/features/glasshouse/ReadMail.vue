<script setup lang="ts">
import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { MailDeed } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import ProofSheet from '@/features/messages/composer/ProofSheet.vue'
import Trouble from '@/ui/Trouble.vue'
import { shortMoment } from '@/ui/moments'

/** Mail as those who got it see it, with what they and their mail programs do. */
const address = ref('')
const asked = refDebounced(address, 200)
const ahead = ref(false)
const mails = useInfiniteQuery(computed(() => questions.inbox(asked.value)))
const lines = computed(() => mails.data.value?.pages.flatMap((page) => page.items) ?? [])
const chosen = ref<number | null>(null)
const mail = useQuery(
  computed(() => ({ ...questions.inboxMail(chosen.value ?? 0), enabled: chosen.value !== null })),
)
/** Links that lead back to us: what a reader can click, each once. */
const links = computed(() =>
  (mail.data.value?.links ?? [])
    .map((link, index) => ({ ...link, index }))
    .filter((link) => link.address.includes('/r/'))
    .filter((link, i, all) => all.findIndex((one) => one.address === link.address) === i),
)
/** Whether it asks its reader to say that it was they who signed up. */
const asks = computed(() => mail.data.value?.links.some((one) => one.address.includes('/confirm/')))
const { failure, busy, attempt } = useAttempt()
const done = ref<string | null>(null)
/** What is being answered; null while nothing is. */
const answer = ref<string | null>(null)

const DONE: Record<MailDeed['deed'], string> = {
  FETCH_AHEAD: 'Its pictures were loaded ahead of anybody reading it.',
  OPEN: 'It was opened.',
  CLICK: 'The link was clicked.',
  UNSUBSCRIBE: 'They unsubscribed by one click.',
  COMPLAIN: 'They complained; the mail server has reported it.',
  BOUNCE: 'It came back: no such mailbox.',
  BOUNCE_FOR_NOW: 'It came back: the mailbox is full.',
  CONFIRM: 'They confirmed that it was they.',
}

async function read(id: number) {
  chosen.value = chosen.value === id ? null : id
  done.value = null
  answer.value = null
  if (chosen.value !== null && ahead.value) await act('FETCH_AHEAD')
}

async function reply() {
  const id = chosen.value
  const words = answer.value
  if (id === null || words === null) return
  const well = await attempt(() =>
    answerOf(api.POST('/api/inbox/{id}/replies', { params: { path: { id } }, body: { words } })),
  )
  if (!well) return
  answer.value = null
  done.value = 'The answer went out; it lies in the mailbox of whoever sent the mail.'
  await Promise.all([outdated('inbox'), outdated('people')])
}

async function act(deed: MailDeed['deed'], link: number | null = null) {
  const id = chosen.value
  if (id === null) return
  done.value = null
  const well = await attempt(() =>
    answerOf(api.POST('/api/inbox/{id}/deeds', { params: { path: { id } }, body: { deed, link } })),
  )
  if (well) done.value = DONE[deed]
  await Promise.all([outdated('live'), outdated('people')])
}
</script>

<template>
  <div class="flex items-center gap-2 border-b border-line bg-sunk px-3 py-1.5">
    <label for="read-as" class="text-ink2">read as</label>
    <input
      id="read-as"
      v-model="address"
      class="field min-w-0 flex-1"
      type="search"
      placeholder="whose mailbox"
    />
    <label class="flex items-center gap-1.5 whitespace-nowrap text-note text-ink2">
      <input v-model="ahead" type="checkbox" /> pictures ahead
    </label>
  </div>
  <div class="min-h-0 flex-1 overflow-y-auto" tabindex="0" role="group" aria-label="Mail">
    <template v-for="one in lines" :key="one.id">
      <button
        type="button"
        class="block w-full border-b border-line2 px-3 py-2 text-left hover:bg-sunk"
        :class="{ 'bg-marigold-soft': one.id === chosen }"
        :aria-expanded="one.id === chosen"
        @click="read(one.id)"
      >
        <span class="flex justify-between gap-2"
          ><b class="truncate">{{ one.subject || 'no subject' }}</b
          ><span class="figure note shrink-0">{{ shortMoment(one.at) }}</span></span
        >
        <span class="note block truncate">to {{ one.address }}</span>
      </button>
      <div v-if="one.id === chosen && mail.data.value" class="border-b border-line">
        <div class="flex flex-wrap gap-1.5 px-3 py-2">
          <button
            v-if="asks"
            type="button"
            class="button button-small button-main"
            :disabled="busy"
            @click="act('CONFIRM')"
          >
            Confirm
          </button>
          <button
            v-else
            type="button"
            class="button button-small button-main"
            :disabled="busy"
            @click="act('OPEN')"
          >
            Open it
          </button>
          <button
            v-for="link in links"
            :key="link.index"
            type="button"
            class="button button-small"
            :disabled="busy"
            @click="act('CLICK', link.index)"
          >
            Click “{{ link.words }}”
          </button>
          <button
            v-if="!asks"
            type="button"
            class="button button-small"
            :disabled="busy"
            @click="act('UNSUBSCRIBE')"
          >
            Unsubscribe
          </button>
          <button
            type="button"
            class="button button-small"
            :disabled="busy"
            @click="act('COMPLAIN')"
          >
            Complain
          </button>
          <button type="button" class="button button-small" :disabled="busy" @click="act('BOUNCE')">
            Let it bounce
          </button>
          <button
            type="button"
            class="button button-small"
            :disabled="busy"
            @click="act('BOUNCE_FOR_NOW')"
          >
            Mailbox full
          </button>
          <button
            type="button"
            class="button button-small"
            :aria-expanded="answer !== null"
            @click="answer = answer === null ? '' : null"
          >
            Answer…
          </button>
        </div>
        <form v-if="answer !== null" class="px-3 pb-2" @submit.prevent="reply">
          <label for="answer" class="sr-only">What they answer</label>
          <textarea
            id="answer"
            v-model="answer"
            class="field w-full"
            rows="3"
            maxlength="10000"
            required
            placeholder="What they answer"
          />
          <button type="submit" class="button button-small mt-1" :disabled="busy">
            Send the answer
          </button>
        </form>
        <p v-if="done" class="px-3 pb-2 text-vine" role="status">{{ done }}</p>
        <Trouble v-if="failure" class="mx-3 mb-2" :text="failure" />
        <div class="flex justify-center bg-cell p-2">
          <ProofSheet :html="mail.data.value.html" :width="360" title="The mail" />
        </div>
      </div>
    </template>
    <p v-if="mails.isSuccess.value && lines.length === 0" class="p-6 text-center text-ink2">
      No mail has come{{ address ? ' to this address' : '' }} yet.
    </p>
  </div>
</template>
