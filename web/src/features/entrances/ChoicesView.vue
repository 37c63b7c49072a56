<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { ChoicesPageDocument, ChoicesPageView } from '@/api/types'
import { useKeptDraft } from '@/editing/useKeptDraft'
import Labelled from '@/ui/Labelled.vue'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import { named } from './asked'
import AskedList from './AskedList.vue'
import DraftKeys from '@/editing/DraftKeys.vue'
import EntrancesFrame from './EntrancesFrame.vue'
import PagePicture from './PagePicture.vue'

/** The page on which readers of mail choose what they get. */
const { data: kept, error } = useQuery(questions.choicesPage())
const asKept = (is: ChoicesPageView) => ({ document: is.page, version: is.version })
const { given, changed, save, undo, wrong, failure, busy } = useKeptDraft<ChoicesPageDocument>({
  kept: computed(() => kept.value && asKept(kept.value)),
  place: 'choices',
  fields: ['page/title'],
  put: async ({ document, version }) =>
    asKept(await answerOf(api.PUT('/api/choices-page', { body: { page: document, version } }))),
  lookAnew: () => outdated('choices-page'),
})
const asked = refDebounced(
  computed(() => JSON.stringify(given.value)),
  80,
)
const look = useQuery(
  computed(() => ({
    ...questions.choicesLook(JSON.parse(asked.value) as ChoicesPageDocument),
    enabled: asked.value !== 'null',
  })),
)

useTabTitle(() => 'Your choices')
</script>

<template>
  <EntrancesFrame>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <div
      v-if="given && kept"
      class="grid min-h-0 grid-cols-[minmax(400px,46%)_minmax(0,1fr)] gap-3"
    >
      <section
        class="panel flex flex-col gap-4 overflow-y-auto p-4"
        tabindex="0"
        aria-labelledby="choices"
      >
        <div class="flex items-center gap-2">
          <h2 id="choices" class="font-display text-empty font-bold">Your choices</h2>
          <DraftKeys :changed="changed" :busy="busy" @undo="undo" @save="save" />
        </div>
        <p>
          The page behind “your choices” in every email. Its reader needs no password: the link is
          theirs alone. Whoever opens it can also unsubscribe there.
        </p>
        <p v-if="failure" class="warning" role="alert">{{ failure }}</p>
        <Labelled id="title" name="Title" :wrong="wrong['page/title']">
          <input id="title" v-model="given.title" class="field" maxlength="200" />
        </Labelled>
        <AskedList v-model="given.asks" title="What they may change" />
        <Labelled
          id="lists"
          name="Lists that they may be on or not"
          hint="With commas between. They read these names. Lists that are not named here stay as they are."
        >
          <input
            id="lists"
            class="field"
            :value="given.lists.join(', ')"
            @change="given.lists = named(($event.target as HTMLInputElement).value)"
          />
        </Labelled>
        <label class="flex items-center gap-2">
          <input v-model="given.howOften" type="checkbox" /> they choose how often they are mailed
        </label>
        <p v-if="given.howOften" class="note">
          Whoever chooses one email a day or a week gets no more; what comes sooner waits until
          then. Dry runs know nothing of it.
        </p>
      </section>
      <PagePicture :html="look.data.value?.html" title="The page of somebody made up" />
    </div>
  </EntrancesFrame>
</template>
