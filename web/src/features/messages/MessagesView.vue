<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { ManuscriptDocument } from '@/api/types'
import { useForm } from '@/api/useForm'
import { useTabTitle } from '@/ui/useTabTitle'
import BringInHtml from './BringInHtml.vue'
import { plainWords } from './composer/words'

/** The library of emails and texts, with what uses them. */
const router = useRouter()
const messages = useQuery(questions.messages())
const users = useQuery(questions.messageUsers())
const starters = useQuery(questions.messageStarters())
const find = ref('')
const labelled = ref('')
const shown = ref<'all' | 'nowhere' | 'open' | 'strands' | 'away'>('all')
const name = ref('')
const channel = ref<'email' | 'text'>('email')
const adding = ref(false)
const bringing = ref(false)
const { wrong, told, busy, send } = useForm('name')

const all = computed(() =>
  (messages.data.value ?? []).map((one) => ({
    ...one,
    headline: one.content.kind === 'email' ? one.content.subject : one.content.words,
    uses: (users.data.value ?? []).filter((use) => use.message === one.id),
  })),
)
const labels = computed(() => [...new Set(all.value.flatMap((one) => one.labels))].sort())
const found = computed(() => {
  const words = find.value.trim().toLowerCase()
  return all.value.filter((one) => {
    if ((shown.value === 'away') !== one.archived) return false
    if (labelled.value && !one.labels.includes(labelled.value)) return false
    if (shown.value === 'nowhere' && one.uses.length > 0) return false
    if (shown.value === 'strands' && !one.uses.some((use) => use.strand)) return false
    if (shown.value === 'open' && !one.uses.some((use) => use.open)) return false
    const text = [one.name, one.headline, ...one.labels].join(' ').toLowerCase()
    return text.includes(words)
  })
})

async function add() {
  await send(async () => {
    const content =
      channel.value === 'email'
        ? { kind: 'email' as const, subject: name.value }
        : { kind: 'text' as const, words: name.value }
    const made = await answerOf(
      api.POST('/api/messages', {
        body: { name: name.value, content, links: [], voucher: false, version: null },
      }),
    )
    await outdated('library')
    await router.push({ name: 'composer', params: { id: made.id } })
  })
}

async function beginFrom(id: string) {
  await send(async () => {
    const made = await answerOf(
      api.POST('/api/message-starters/{id}/messages', { params: { path: { id } } }),
    )
    await outdated('library')
    await router.push({ name: 'composer', params: { id: made.id } })
  })
}

function subjectOf(manuscript: ManuscriptDocument): string {
  return manuscript.kind === 'email' ? plainWords(manuscript.subject) : ''
}

useTabTitle(() => 'Messages')
</script>

<template>
  <main class="flex min-h-0 flex-col gap-3 p-4">
    <header class="flex items-center gap-2">
      <h1 class="text-page">Messages</h1>
      <span class="note">{{ found.length }} of {{ all.length }}</span>
      <input
        v-model="find"
        class="field ml-3 w-64!"
        type="search"
        aria-label="Find messages"
        placeholder="name, subject or label"
      />
      <select v-model="shown" class="field w-auto!" aria-label="Which">
        <option value="all">all</option>
        <option value="open">sent by open journeys</option>
        <option value="strands">sent by strands</option>
        <option value="nowhere">sent by nothing</option>
        <option value="away">put away</option>
      </select>
      <select v-if="labels.length" v-model="labelled" class="field w-auto!" aria-label="Label">
        <option value="">any label</option>
        <option v-for="one in labels" :key="one" :value="one">{{ one }}</option>
      </select>
      <RouterLink class="button ml-auto" :to="{ name: 'inbox' }">Inbox</RouterLink>
      <RouterLink class="button" :to="{ name: 'house-style' }">House style</RouterLink>
      <button type="button" class="button" @click="bringing = !bringing">
        Bring in an HTML mail
      </button>
      <button type="button" class="button button-main" @click="adding = !adding">
        New message
      </button>
    </header>
    <BringInHtml v-if="bringing" @close="bringing = false" />
    <form v-if="adding" class="panel flex items-center gap-3 px-3 py-2" @submit.prevent="add">
      <input
        v-model="name"
        class="field w-80!"
        maxlength="80"
        aria-label="Name of the message"
        placeholder="its name, such as Your hive planner"
        :aria-invalid="!!wrong['name']"
        autofocus
      />
      <label class="flex items-center gap-1.5"
        ><input v-model="channel" type="radio" value="email" /> email</label
      >
      <label class="flex items-center gap-1.5"
        ><input v-model="channel" type="radio" value="text" /> text</label
      >
      <button type="submit" class="button button-main" :disabled="busy || !name.trim()">
        Begin
      </button>
      <button type="button" class="button" @click="adding = false">Cancel</button>
      <span v-if="told" class="text-clay" role="alert">{{ told }}</span>
    </form>
    <ul v-if="adding" class="grid grid-cols-4 gap-2" aria-label="Starters">
      <li v-for="one in starters.data.value" :key="one.id">
        <button
          type="button"
          class="panel w-full px-3 py-2 text-left hover:bg-sunk"
          :disabled="busy"
          @click="beginFrom(one.id)"
        >
          <b class="block">{{ one.name }}</b>
          <span class="note block truncate">{{ subjectOf(one.manuscript) }}</span>
        </button>
      </li>
    </ul>
    <div class="panel min-h-0 flex-1 overflow-auto" tabindex="0" role="group" aria-label="Messages">
      <table class="w-full border-collapse">
        <thead class="sticky top-0 bg-panel text-left text-note text-ink2">
          <tr>
            <th class="px-3 py-2 font-normal">Name</th>
            <th class="py-2 font-normal">Subject or words</th>
            <th class="py-2 font-normal">Links</th>
            <th class="py-2 pr-3 font-normal">Sent by</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in found" :key="one.id" class="border-t border-line2 hover:bg-sunk">
            <td class="max-w-70 px-3 py-2">
              <RouterLink
                class="font-semibold underline-offset-2 hover:underline"
                :to="{ name: 'composer', params: { id: one.id } }"
                >{{ one.name }}</RouterLink
              >
              <span v-if="one.content.kind === 'text'" class="chip ml-2">text</span>
              <span v-for="label in one.labels" :key="label" class="chip ml-1">{{ label }}</span>
            </td>
            <td class="max-w-90 truncate py-2 pr-3 text-ink2" :title="one.headline">
              {{ one.headline }}
            </td>
            <td class="max-w-50 truncate py-2 pr-3 text-ink2" :title="one.links.join(', ')">
              {{ one.links.join(', ') || 'none' }}
            </td>
            <td class="py-2 pr-3">
              <template v-for="(use, i) in one.uses" :key="use.strand ?? use.journey ?? i"
                ><template v-if="i">, </template><template v-if="use.strand">strand </template
                ><RouterLink
                  class="underline"
                  :to="
                    use.strand
                      ? { name: 'strand', params: { id: use.strand } }
                      : { name: 'workbench', params: { id: use.journey } }
                  "
                  >{{ use.name }}</RouterLink
                ></template
              >
              <span v-if="one.uses.length === 0" class="text-ink2">nothing yet</span>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="messages.isSuccess.value && found.length === 0" class="p-8 text-center text-ink2">
        {{
          all.length
            ? 'No message is like that.'
            : 'No message yet: begin one, or name one in a journey.'
        }}
      </p>
    </div>
  </main>
</template>
