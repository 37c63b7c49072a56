<script setup lang="ts">
import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useForm } from '@/api/useForm'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { fileSize } from '@/ui/figures'
import GoneForGood from '@/ui/GoneForGood.vue'
import { fullMoment } from '@/ui/moments'
import MoreButton from '@/ui/MoreButton.vue'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import ProofSheet from './composer/ProofSheet.vue'
import JourneyTestForm from './JourneyTestForm.vue'

/** The mailboxes of the stand-in mail server: every mail as it came. */
const address = ref('')
const asked = refDebounced(address, 200)
const mails = useInfiniteQuery(computed(() => questions.inbox(asked.value)))
const lines = computed(() => mails.data.value?.pages.flatMap((page) => page.items) ?? [])
const picked = ref<number | null>(null)
const chosen = computed(() => picked.value ?? lines.value[0]?.id ?? null)
const mail = useQuery(
  computed(() => ({ ...questions.inboxMail(chosen.value ?? 0), enabled: chosen.value !== null })),
)
/** Whoever comes from a journey tests that. */
const route = useRoute()
const asksFor = computed(() => Number(route.query['journey']) || null)
const testing = ref(asksFor.value !== null)
const emptying = useForm()

async function empty() {
  await emptying.send(async () => {
    await answerOf(api.DELETE('/api/inbox'))
    picked.value = null
    await outdated('inbox')
  })
}

type Look = 'seen' | 'phone' | 'plain' | 'headers'
const look = ref<Look>('seen')
const LOOKS = [
  { key: 'seen', name: 'as seen' },
  { key: 'phone', name: 'phone' },
  { key: 'plain', name: 'plain text' },
  { key: 'headers', name: 'headers, parts, links' },
] as const
useTabTitle(() => 'Inbox')
</script>

<template>
  <main class="flex min-h-0 flex-col gap-3 p-4">
    <header class="flex items-center gap-3">
      <h1 class="text-page">Inbox</h1>
      <span class="note"
        >of the stand-in mail server at
        <span class="figure">{{ mails.data.value?.pages[0]?.server }}</span>: nothing here has left
        this machine</span
      >
      <input
        v-model="address"
        class="field ml-auto w-72!"
        type="search"
        aria-label="Whose mailbox"
        placeholder="whose mailbox: a whole address"
      />
      <button type="button" class="button" @click="testing = !testing">Test a journey</button>
      <RouterLink class="button" :to="{ name: 'messages' }">Messages</RouterLink>
    </header>
    <JourneyTestForm v-if="testing" :begun="asksFor" @close="testing = false" />
    <div class="grid min-h-0 flex-1 grid-cols-[minmax(300px,30%)_1fr] gap-3">
      <div class="panel min-h-0 overflow-y-auto" tabindex="0" role="group" aria-label="Mails">
        <button
          v-for="one in lines"
          :key="one.id"
          type="button"
          class="block w-full border-b border-line2 px-3 py-2 text-left hover:bg-sunk"
          :class="{ 'bg-marigold-soft': one.id === chosen }"
          :aria-current="one.id === chosen"
          @click="picked = one.id"
        >
          <span class="flex justify-between gap-2"
            ><b class="truncate">{{ one.subject || 'no subject' }}</b
            ><span class="figure note shrink-0">{{ fileSize(one.bytes) }}</span></span
          >
          <span class="note block truncate">{{ one.sender }} to {{ one.address }}</span>
          <span class="note block"
            >{{ fullMoment(one.at)
            }}<template v-if="one.millis !== null">
              · {{ one.millis }} ms on its way</template
            ></span
          >
        </button>
        <MoreButton
          v-if="mails.hasNextPage.value"
          :shown="lines.length"
          :total="mails.data.value?.pages[0]?.total ?? 0"
          :busy="mails.isFetchingNextPage.value"
          @more="mails.fetchNextPage()"
        />
        <GoneForGood
          v-if="lines.length && !address"
          :key="lines.length"
          class="p-3"
          ask="Empty the inbox…"
          does="Empty it"
          keeps="Keep them"
          :busy="emptying.busy.value"
          @sure="empty"
        >
          <template #consequences
            >All {{ mails.data.value?.pages[0]?.total }} mails go out of the stand-in’s
            mailboxes.</template
          >
        </GoneForGood>
        <Trouble v-if="emptying.failure.value" class="m-3" :text="emptying.failure.value" />
        <p v-if="mails.isSuccess.value && lines.length === 0" class="p-6 text-center text-ink2">
          Nothing came yet. A message’s “Send me a test” sends one here.
        </p>
      </div>
      <section
        v-if="mail.data.value"
        class="panel flex min-h-0 flex-col overflow-hidden"
        aria-label="Mail"
      >
        <div class="panel-head">
          <h2 class="truncate">{{ mail.data.value.line.subject }}</h2>
          <ChoiceBar v-model="look" class="ml-auto" label="How it is looked at" :choices="LOOKS" />
        </div>
        <div
          class="min-h-0 flex-1 overflow-y-auto bg-cell p-4"
          data-scroller
          tabindex="0"
          role="group"
          aria-label="What it says"
        >
          <div v-if="look === 'seen' || look === 'phone'" class="flex justify-center">
            <ProofSheet
              :html="mail.data.value.html"
              :width="look === 'phone' ? 377 : 660"
              title="The mail"
            />
          </div>
          <pre
            v-else-if="look === 'plain'"
            class="mx-auto max-w-165 rounded-lg border border-line bg-white p-4 font-mono text-note whitespace-pre-wrap"
            >{{ mail.data.value.plain }}</pre>
          <div v-else class="grid gap-4">
            <table class="w-full">
              <caption class="label text-left">
                Headers
              </caption>
              <tbody>
                <tr v-for="(one, i) in mail.data.value.headers" :key="i" class="align-top">
                  <th
                    class="figure pr-3 text-left text-note font-normal whitespace-nowrap text-ink2"
                  >
                    {{ one.name }}
                  </th>
                  <td class="figure text-note break-all">{{ one.value }}</td>
                </tr>
              </tbody>
            </table>
            <table class="w-full">
              <caption class="label text-left">
                Parts
              </caption>
              <tbody>
                <tr v-for="(one, i) in mail.data.value.parts" :key="i">
                  <td class="figure text-note">{{ one.type }}</td>
                  <td class="figure text-note text-ink2">{{ one.encoding }}</td>
                  <td class="figure text-right text-note">{{ fileSize(one.bytes) }}</td>
                </tr>
              </tbody>
            </table>
            <table class="w-full">
              <caption class="label text-left">
                Links
              </caption>
              <tbody>
                <tr v-for="(one, i) in mail.data.value.links" :key="i" class="align-top">
                  <td class="pr-3">{{ one.words }}</td>
                  <td class="text-note break-all">
                    <a class="underline" :href="one.address" target="_blank" rel="noopener">{{
                      one.address
                    }}</a>
                  </td>
                </tr>
              </tbody>
            </table>
          </div>
        </div>
      </section>
    </div>
  </main>
</template>
