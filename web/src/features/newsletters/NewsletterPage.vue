<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { NewsletterDocument, NewsletterView } from '@/api/types'
import DraftKeys from '@/editing/DraftKeys.vue'
import { useKeptDraft } from '@/editing/useKeptDraft'
import { useRun } from '@/features/dryrun/useRun'
import PagePicture from '@/features/entrances/PagePicture.vue'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import NewsletterFigures from './NewsletterFigures.vue'
import NewsletterForm from './NewsletterForm.vue'
import NewsletterReview from './NewsletterReview.vue'
import RunForm from './RunForm.vue'
import { useWhoSaid } from './useWhoSaid'
import WhoClicks from './WhoClicks.vue'

/** One newsletter: what it says, what it does, and what came of it. */
const props = defineProps<{ id: number }>()

const router = useRouter()
const { data: view, error } = useQuery(computed(() => questions.newsletter(props.id)))
const at = computed(() => ({ params: { path: { id: props.id } } }))
const asKept = (is: NewsletterView) => ({ document: is.newsletter, version: is.version })
const { given, changed, taken, save, undo, wrong, failure, busy, send } =
  useKeptDraft<NewsletterDocument>({
    kept: computed(() => view.value && asKept(view.value)),
    place: `newsletter.${props.id}`,
    fields: ['newsletter/name', 'newsletter/going'],
    put: async ({ document, version }) =>
      asKept(
        await answerOf(
          api.PUT('/api/newsletters/{id}', {
            ...at.value,
            body: { newsletter: document, version },
          }),
        ),
      ),
    lookAnew: done,
  })
const draft = computed(() => view.value?.phase === 'DRAFT')
const asked = refDebounced(
  computed(() => JSON.stringify(given.value)),
  150,
)
const look = useQuery(
  computed(() => ({
    ...questions.newsletterLook(JSON.parse(asked.value) as NewsletterDocument),
    enabled: draft.value && asked.value !== 'null',
  })),
)
const said = useWhoSaid({ kept: view, look: look.data, unseen: look.error, changed, taken })
const seen = computed(() => (draft.value && look.data.value) || view.value)
const message = computed(() => given.value?.message ?? null)
const page = useQuery(
  computed(() => ({
    ...questions.messageProof(message.value ?? ''),
    enabled: message.value !== null,
  })),
)
useTabTitle(() => view.value?.newsletter.name ?? 'Newsletter')

async function done() {
  await outdated('newsletters')
}

async function plan(now: boolean, evenSoMany: boolean) {
  await send(async () => {
    await answerOf(
      api.PUT('/api/newsletters/{id}/plan', {
        ...at.value,
        body: { version: view.value!.version, now, people: seen.value!.people, evenSoMany },
      }),
    )
    await done()
  })
}

async function callBack() {
  await send(async () => {
    await answerOf(api.DELETE('/api/newsletters/{id}/plan', at.value))
    await done()
  })
}

async function copy() {
  await send(async () => {
    const made = await answerOf(api.POST('/api/newsletters/{id}/copies', at.value))
    await done()
    await router.push({ name: 'newsletter', params: { id: made.id } })
  })
}

const { progress, failure: notCounted, count: countLives } = useRun()

/** What people went through, in the views of the dry run; Side by side takes it, too. */
async function report() {
  const made = await countLives(props.id)
  if (made !== null) {
    await router.push({ name: 'dry-run', params: { id: props.id }, query: { run: made } })
  }
}

async function putAway() {
  await send(async () => {
    await answerOf(api.DELETE('/api/newsletters/{id}', at.value))
    await done()
    await router.push({ name: 'calendar' })
  })
}
</script>

<template>
  <main class="flex min-h-0 flex-col px-4 pb-3">
    <header class="flex items-center gap-3 pt-3 pb-3">
      <RouterLink class="button" :to="{ name: 'calendar' }">Calendar</RouterLink>
      <h1 class="min-w-0 truncate text-page">{{ view?.newsletter.name ?? 'Newsletter' }}</h1>
      <span class="note">a newsletter</span>
      <DraftKeys v-if="draft && view" :changed="changed" :busy="busy" @undo="undo" @save="save" />
    </header>
    <p v-if="failure" class="warning mb-2" role="alert">{{ failure }}</p>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <div
      v-if="view && given"
      class="grid min-h-0 flex-1 grid-cols-[minmax(420px,48%)_minmax(0,1fr)] gap-3"
    >
      <section
        v-if="draft"
        class="panel overflow-y-auto p-4"
        tabindex="0"
        aria-label="What it says"
      >
        <NewsletterForm
          v-if="said"
          :key="taken"
          v-model="given"
          :who-says="said.whoSays"
          :but-not-says="said.butNotSays"
          :findings="seen?.findings ?? []"
          :wrong="wrong"
        />
      </section>
      <section
        v-else
        class="panel flex flex-col gap-3 overflow-y-auto p-4"
        tabindex="0"
        aria-label="What came of it"
      >
        <h2 class="font-display text-empty font-bold">What came of it</h2>
        <NewsletterFigures v-if="view.steps.length" :steps="view.steps" />
        <p v-else class="text-ink2">Nothing yet: it has not gone to anybody.</p>
        <p v-if="view.steps.length" class="flex items-center gap-2">
          <button
            type="button"
            class="button button-small"
            :disabled="progress !== null"
            @click="report"
          >
            {{ progress ? 'Counting…' : 'Live report' }}
          </button>
          <span class="note">in the views of a dry run, to be laid side by side with others</span>
        </p>
        <p v-if="notCounted" class="warning" role="alert">{{ notCounted }}</p>
      </section>
      <div class="flex min-h-0 flex-col gap-3">
        <NewsletterReview
          :phase="view.phase"
          :review="seen?.review ?? []"
          :says="seen?.says ?? []"
          :findings="seen?.findings ?? []"
          :changed="draft && changed"
          :busy="busy"
          @plan="plan"
          @call-back="callBack"
          @copy="copy"
          @put-away="putAway"
        >
          <RouterLink
            v-if="message"
            class="button button-small"
            :to="{ name: 'composer', params: { id: message } }"
            >Open its message</RouterLink
          >
          <template #below>
            <RunForm :id="id" :timed="given.going !== null" :changed="draft && changed" />
            <WhoClicks v-if="message" :key="message" :message="message" />
          </template>
        </NewsletterReview>
        <PagePicture
          v-if="message"
          class="flex-1"
          name="The message"
          :html="page.data.value?.html"
          title="The message"
        />
      </div>
    </div>
  </main>
</template>
