<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { NewsDocument, NewsView } from '@/api/types'
import DraftKeys from '@/editing/DraftKeys.vue'
import { useKeptDraft } from '@/editing/useKeptDraft'
import NewsletterForm from '@/features/newsletters/NewsletterForm.vue'
import { useWhoSaid } from '@/features/newsletters/useWhoSaid'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import IssueList from './IssueList.vue'
import NewsReview from './NewsReview.vue'
import NextIssue from './NextIssue.vue'
import RhythmFields from './RhythmFields.vue'

/** News that goes out by itself: what it says, what it does, and one issue after another. */
const props = defineProps<{ id: number }>()

/** What is posted elsewhere is in the next issue, too. */
const LOOKED_AT_AGAIN = 20_000

const router = useRouter()
const { data: view, error } = useQuery(computed(() => questions.newsOf(props.id)))
const at = computed(() => ({ params: { path: { id: props.id } } }))
const asKept = (is: NewsView) => ({ document: is.series, version: is.version })
const { given, changed, taken, save, undo, wrong, failure, busy, send } =
  useKeptDraft<NewsDocument>({
    kept: computed(() => view.value && asKept(view.value)),
    place: `news.${props.id}`,
    fields: ['series/letter/name', 'series/rhythm', 'series/source'],
    put: async ({ document, version }) =>
      asKept(
        await answerOf(
          api.PUT('/api/news/{id}', { ...at.value, body: { series: document, version } }),
        ),
      ),
    lookAnew: done,
  })
const asked = refDebounced(
  computed(() => JSON.stringify(given.value)),
  150,
)
const { data: look, error: unseen } = useQuery(
  computed(() => ({
    ...questions.newsLook(props.id, JSON.parse(asked.value) as NewsDocument),
    enabled: asked.value !== 'null',
    refetchInterval: LOOKED_AT_AGAIN,
  })),
)
const said = useWhoSaid({ kept: view, look, unseen, changed, taken })
useTabTitle(() => view.value?.series.letter.name ?? 'News')

/** What concerns the letter, at its own fields. */
const ofLetter = computed(() =>
  (look.value?.findings ?? [])
    .filter((one) => one.place.startsWith('/letter'))
    .map((one) => ({ ...one, place: one.place.slice('/letter'.length) })),
)
const wrongOfLetter = computed(() => ({ 'newsletter/name': wrong.value['series/letter/name'] }))
const message = computed(() => given.value?.letter.message ?? null)
async function done() {
  await Promise.all([outdated('news'), outdated('newsletters'), outdated('calendar')])
}

const go = (evenSoMany: boolean) => ({
  ...at.value,
  body: {
    version: view.value!.version,
    people: look.value?.people ?? view.value!.people,
    evenSoMany,
  },
})

async function turnOn(evenSoMany: boolean) {
  await send(async () => {
    await answerOf(api.PUT('/api/news/{id}/on', go(evenSoMany)))
    await done()
  })
}

async function early(evenSoMany: boolean) {
  await send(async () => {
    await answerOf(api.POST('/api/news/{id}/issues', go(evenSoMany)))
    await done()
  })
}

async function turnOff() {
  await send(async () => {
    await answerOf(api.DELETE('/api/news/{id}/on', at.value))
    await done()
  })
}

async function skip(skips: boolean) {
  await send(async () => {
    await answerOf(api.PUT('/api/news/{id}/skip', { ...at.value, body: { skips } }))
    await done()
  })
}

async function putAway() {
  await send(async () => {
    await answerOf(api.DELETE('/api/news/{id}', at.value))
    await done()
    await router.push({ name: 'calendar' })
  })
}
</script>

<template>
  <main class="flex min-h-0 flex-col px-4 pb-3">
    <header class="flex items-center gap-3 pt-3 pb-3">
      <RouterLink class="button" :to="{ name: 'calendar' }">Calendar</RouterLink>
      <h1 class="min-w-0 truncate text-page">{{ view?.series.letter.name ?? 'News' }}</h1>
      <span class="note">news on a rhythm</span>
      <DraftKeys
        v-if="view && !view.on"
        :changed="changed"
        :busy="busy"
        @undo="undo"
        @save="save"
      />
    </header>
    <p v-if="failure" class="warning mb-2" role="alert">{{ failure }}</p>
    <Trouble v-if="error ?? unseen" :text="reasonOf(error ?? unseen)" />
    <div
      v-if="view && given"
      class="grid min-h-0 flex-1 grid-cols-[minmax(420px,48%)_minmax(0,1fr)] gap-3"
    >
      <div
        class="flex min-h-0 flex-col gap-3 overflow-y-auto"
        tabindex="0"
        role="group"
        aria-label="News"
      >
        <section v-if="!view.on" class="panel p-4" aria-label="What it says">
          <NewsletterForm
            v-if="said"
            :key="taken"
            v-model="given.letter"
            :who-says="said.whoSays"
            :but-not-says="said.butNotSays"
            :findings="ofLetter"
            :wrong="wrongOfLetter"
          >
            <template #when>
              <RhythmFields
                v-model:rhythm="given.rhythm"
                v-model:source="given.source"
                v-model:over-hours="given.letter.overHours"
                :findings="look?.findings ?? []"
                :wrong="wrong"
              />
            </template>
          </NewsletterForm>
        </section>
        <section class="panel flex flex-col gap-3 p-4" aria-labelledby="issues">
          <h2 id="issues" class="font-display text-empty font-bold">Issue by issue</h2>
          <IssueList :issues="view.issues" />
        </section>
      </div>
      <div
        class="flex min-h-0 flex-col gap-3 overflow-y-auto"
        tabindex="0"
        role="group"
        aria-label="What comes next"
      >
        <NewsReview
          :on="view.on"
          :skips="view.skipsNext"
          :review="look?.review ?? view.review"
          :findings="look?.findings ?? view.findings"
          :people="look?.people ?? view.people"
          :fresh="look?.entries.length ?? 0"
          :changed="!view.on && changed"
          :busy="busy"
          @on="turnOn"
          @off="turnOff"
          @skip="skip"
          @early="early"
          @put-away="putAway"
        >
          <RouterLink
            v-if="message"
            class="button button-small"
            :to="{ name: 'composer', params: { id: message } }"
            >Open its message</RouterLink
          >
        </NewsReview>
        <NextIssue v-if="look" :look="look" :on="view.on" :skips="view.skipsNext" />
      </div>
    </div>
  </main>
</template>
