<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useAttempt } from '@/api/useAttempt'
import UndoButtons from '@/editing/UndoButtons.vue'
import DropMenu, { type MenuChoice } from '@/ui/DropMenu.vue'
import { clock } from '@/ui/figures'
import { useManuscript } from './manuscriptStore'

/** What a message is used by, whether it is saved, and what can be done with it. */
defineProps<{ side: string; text: boolean }>()
const emit = defineEmits<{ versions: []; test: [] }>()
const store = useManuscript()
const router = useRouter()
const { failure, attempt } = useAttempt()

const uses = useQuery(computed(() => questions.messageUses(store.sheet!.id)))
const users = computed(() => {
  const all = uses.data.value ?? []
  return all.filter((one, i) => all.findIndex((other) => other.journey === one.journey) === i)
})

const menu = computed<MenuChoice[][]>(() => [
  [{ id: 'copy', name: 'Duplicate' }],
  [
    { id: 'eml', name: 'As a mail file', note: '.eml' },
    { id: 'print', name: 'A page to print' },
  ],
  [{ id: 'archive', name: store.sheet?.archived ? 'Bring back' : 'Put away' }],
])

async function act(what: string) {
  const id = store.sheet!.id
  if (what === 'eml') window.location.assign(`/api/messages/${id}/mail.eml`)
  if (what === 'print') window.open(`/api/messages/${id}/page.html`, '_blank', 'noopener')
  await attempt(async () => {
    await store.idle()
    if (what === 'copy') {
      const copy = await answerOf(
        api.POST('/api/messages/{id}/copies', { params: { path: { id } } }),
      )
      await outdated('library')
      await router.push({ name: 'composer', params: { id: copy.id } })
    }
    if (what === 'archive') {
      const path = { params: { path: { id } } }
      await answerOf(
        store.sheet!.archived
          ? api.DELETE('/api/messages/{id}/archived', path)
          : api.PUT('/api/messages/{id}/archived', path),
      )
      await outdated('library')
      await store.open(id)
    }
  })
}
</script>

<template>
  <span class="chip">{{ text ? 'text' : 'email' }}</span>
  <span v-if="store.sheet?.archived" class="chip">put away</span>
  <span class="note min-w-0 truncate">
    <template v-if="users.length"
      >in
      <template v-for="(one, i) in users" :key="one.journey"
        ><template v-if="i">{{ i === users.length - 1 ? ' and ' : ', ' }}</template
        ><RouterLink
          class="underline"
          :to="{ name: 'workbench', params: { id: one.journey }, query: { step: one.step } }"
          >{{ one.name }}</RouterLink
        ></template
      ></template
    ><template v-else-if="uses.isSuccess.value">no journey sends it yet</template>
  </span>
  <span v-if="failure" class="text-clay" role="alert">{{ failure }}</span>
  <span role="status" class="note ml-auto shrink-0">
    <template v-if="store.save.status === 'saving'">Saving…</template>
    <template v-else-if="store.save.status === 'saved'"
      ><template v-if="store.savedAt"
        >Saved {{ clock(new Date(store.savedAt).toISOString()) }} · </template
      >v{{ store.sheet?.version }}</template
    >
    <b v-else class="text-clay">Not saved</b>
  </span>
  <UndoButtons :edits="store" />
  <button
    type="button"
    class="button"
    :aria-pressed="side === 'versions'"
    @click="emit('versions')"
  >
    Versions
  </button>
  <button
    v-if="!text"
    type="button"
    class="button button-main"
    :aria-pressed="side === 'test'"
    @click="emit('test')"
  >
    Send me a test
  </button>
  <DropMenu label="More with this message" :groups="menu" @choose="act">More</DropMenu>
</template>
