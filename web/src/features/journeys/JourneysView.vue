<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { JourneyDocument } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import MoreButton from '@/ui/MoreButton.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import Trouble from '@/ui/Trouble.vue'
import ArchivedJourneys from './ArchivedJourneys.vue'
import FirstSteps from './FirstSteps.vue'
import ImportPanel from './ImportPanel.vue'
import JourneyRow from './JourneyRow.vue'
import NewJourney from './NewJourney.vue'

/** How soon to look again for pictures that are still being drawn. */
const LOOK_AGAIN_MILLIS = 2_000

const router = useRouter()
const route = useRoute()
const adding = ref<'new' | 'import' | null>(null)
/* Whoever asks for a new journey elsewhere comes here for it. */
watch(
  () => route.query.new,
  (asked) => {
    if (!asked) return
    adding.value = 'new'
    void router.replace({ query: {} })
  },
  { immediate: true },
)
const wanted = ref('')
const find = refDebounced(wanted, 150)

const list = useInfiniteQuery(() => ({
  ...questions.overview(find.value, false),
  refetchInterval: ({ state }) =>
    state.data?.pages.some((page) => page.journeys.some((one) => !one.card.sketch))
      ? LOOK_AGAIN_MILLIS
      : false,
}))
const pages = computed(() => list.data.value?.pages ?? [])
const shown = computed(() => pages.value.flatMap((page) => page.journeys))
const newest = computed(() => pages.value.at(-1))
const { failure, busy, attempt } = useAttempt(list.error)

const add = (name: string, purpose: JourneyDocument['purpose']) =>
  attempt(async () => {
    const added = await answerOf(api.POST('/api/journeys', { body: { name, purpose } }))
    await open(added.id)
  })

async function open(id: number) {
  void outdated('journeys')
  await router.push({ name: 'workbench', params: { id } })
}

const begin = (id: string) =>
  attempt(async () => {
    const begun = await answerOf(
      api.POST('/api/starters/{id}/journeys', { params: { path: { id } } }),
    )
    await open(begun.id)
  })

const duplicate = (id: number) =>
  attempt(async () => {
    await answerOf(api.POST('/api/journeys/{id}/copies', { params: { path: { id } } }))
    await outdated('journeys')
  })

const archive = (id: number, away: boolean) =>
  attempt(async () => {
    const request = { params: { path: { id } } }
    await answerOf(
      away
        ? api.PUT('/api/journeys/{id}/archived', request)
        : api.DELETE('/api/journeys/{id}/archived', request),
    )
    await outdated('journeys')
  })

useTabTitle(() => 'Journeys')
</script>

<template>
  <main class="flex flex-col overflow-y-auto px-4 pb-4">
    <header class="flex items-center gap-3 pt-3 pb-2.5">
      <h1 class="text-page">Journeys</h1>
      <span class="note"
        >what happens to people after they join, buy or leave something behind</span
      >
      <input
        v-model="wanted"
        type="search"
        class="field ml-auto w-56!"
        aria-label="Find journeys"
        placeholder="Find by name, purpose, trigger"
      />
      <button
        type="button"
        class="button"
        :aria-expanded="adding === 'import'"
        @click="adding = adding === 'import' ? null : 'import'"
      >
        Import
      </button>
      <button
        type="button"
        class="button button-main"
        :aria-expanded="adding === 'new'"
        @click="adding = adding === 'new' ? null : 'new'"
      >
        New journey
      </button>
    </header>
    <Trouble v-if="failure" class="mb-3" :text="failure" />
    <FirstSteps />
    <NewJourney
      v-if="adding === 'new'"
      class="mb-3"
      :busy="busy"
      @add="add"
      @begin="begin"
      @cancel="adding = null"
    />
    <ImportPanel v-if="adding === 'import'" class="mb-3" @done="open" @cancel="adding = null" />
    <section v-if="newest?.inAll" class="panel" aria-label="All journeys">
      <p v-if="shown.length === 0" class="p-4 text-ink2">No journey fits “{{ wanted }}”.</p>
      <ul>
        <JourneyRow
          v-for="{ card, run } in shown"
          :key="card.id"
          :journey="card"
          :run="run"
          @duplicate="duplicate(card.id)"
          @archive="archive(card.id, true)"
        />
      </ul>
      <MoreButton
        v-if="list.hasNextPage.value"
        :shown="shown.length"
        :total="newest.total"
        :busy="list.isFetchingNextPage.value"
        @more="list.fetchNextPage()"
      />
    </section>
    <section v-else-if="newest && !adding" class="panel p-10 text-center">
      <h2 class="text-empty">No journeys yet</h2>
      <p class="mt-1 mb-4 text-ink2">
        Begin with the one you have on paper: who comes in, what they get, and when.
      </p>
      <button type="button" class="button button-main" @click="adding = 'new'">
        Plan the first journey
      </button>
    </section>
    <ArchivedJourneys
      v-if="newest?.archived"
      :find="find"
      :total="newest.archived"
      @back="archive($event, false)"
    />
  </main>
</template>
