<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { EntranceDocument, EntranceView } from '@/api/types'
import { useKeptDraft } from '@/editing/useKeptDraft'
import GoneForGood from '@/ui/GoneForGood.vue'
import Labelled from '@/ui/Labelled.vue'
import { count, day } from '@/ui/figures'
import { named } from './asked'
import AskedList from './AskedList.vue'
import DaysPicture from './DaysPicture.vue'
import DraftKeys from '@/editing/DraftKeys.vue'
import PagePicture from './PagePicture.vue'
import WaysIn from './WaysIn.vue'

/** One entrance: what it asks and what happens then, and its page as people see it. */
const props = defineProps<{ entrance: EntranceView }>()

const router = useRouter()
const at = computed(() => ({ params: { path: { id: props.entrance.id } } }))
const asKept = (is: EntranceView) => ({ document: is.entrance, version: is.version })
const { given, changed, save, undo, wrong, failure, busy, send } = useKeptDraft<EntranceDocument>({
  kept: computed(() => asKept(props.entrance)),
  place: `entrance.${props.entrance.id}`,
  fields: ['entrance/title'],
  put: async ({ document, version }) =>
    asKept(
      await answerOf(
        api.PUT('/api/entrances/{id}', { ...at.value, body: { entrance: document, version } }),
      ),
    ),
  lookAnew: () => outdated('entrances'),
})
const asked = refDebounced(
  computed(() => JSON.stringify(given.value)),
  80,
)
const look = useQuery(
  computed(() => ({
    ...questions.entranceLook(JSON.parse(asked.value) as EntranceDocument),
    enabled: asked.value !== 'null',
  })),
)
const sheet = computed(() => look.data.value?.sheet ?? props.entrance.sheet)
const findings = computed(() => look.data.value?.findings ?? props.entrance.findings)
const broken = computed(() => findings.value.some((one) => one.severity === 'ERROR'))
const { data: messages } = useQuery(questions.messages())
const { data: files } = useQuery(questions.files())
/** Messages that have parts. */
const pages = computed(
  () => messages.value?.filter((one) => one.content.kind === 'email' && !one.archived) ?? [],
)
const then = computed({
  get: () => given.value!.then.kind,
  set: (kind) => {
    given.value!.then =
      kind === 'address'
        ? { kind, url: 'https://' }
        : kind === 'page'
          ? { kind, message: pages.value[0]?.id ?? '' }
          : { kind: 'words', words: '' }
  },
})

/** Fills in what may be left out. */
function put(what: 'above' | 'handsOut' | 'tells', value: string) {
  if (value) given.value![what] = value
  else delete given.value![what]
}

async function turn(on: boolean) {
  await send(async () => {
    await answerOf(
      on
        ? api.PUT('/api/entrances/{id}/on', at.value)
        : api.DELETE('/api/entrances/{id}/on', at.value),
    )
    await outdated('entrances')
  })
}

async function copy() {
  await send(async () => {
    const made = await answerOf(api.POST('/api/entrances/{id}/copies', at.value))
    await outdated('entrances')
    await router.push({ name: 'entrance', params: { id: made.id } })
  })
}

async function remove() {
  await send(async () => {
    await answerOf(api.DELETE('/api/entrances/{id}', at.value))
    await outdated('entrances')
    await router.push({ name: 'entrances' })
  })
}
</script>

<template>
  <div v-if="given" class="grid min-h-0 grid-cols-[minmax(400px,46%)_minmax(0,1fr)] gap-3">
    <section
      class="panel flex flex-col gap-4 overflow-y-auto p-4"
      tabindex="0"
      aria-labelledby="what-it-does"
    >
      <div class="flex items-center gap-2">
        <h2 id="what-it-does" class="min-w-0 truncate font-display text-empty font-bold">
          {{ entrance.entrance.name }}
        </h2>
        <DraftKeys :changed="changed" :busy="busy" @undo="undo" @save="save" />
      </div>
      <ol class="grid gap-1 border-l-2 border-line pl-3" aria-label="What it does">
        <li v-for="line in sheet" :key="line">{{ line }}</li>
      </ol>
      <ul v-if="findings.length" class="grid gap-1" aria-label="Findings">
        <li
          v-for="one in findings"
          :key="one.code + one.sentence"
          class="warning"
          :class="{ 'font-semibold': one.severity === 'ERROR' }"
        >
          {{ one.sentence }}
          <button
            v-if="one.mend"
            type="button"
            class="button button-small ml-1"
            @click="given = one.mend.entrance"
          >
            {{ one.mend.words }}
          </button>
        </li>
      </ul>
      <p v-if="failure" class="warning" role="alert">{{ failure }}</p>
      <p class="flex flex-wrap items-center gap-2">
        <button
          type="button"
          class="button"
          :class="{ 'button-main': !entrance.on }"
          :disabled="busy || changed || (!entrance.on && broken)"
          @click="turn(!entrance.on)"
        >
          {{ entrance.on ? 'Turn it off' : 'Let people in' }}
        </button>
        <a v-if="entrance.on" class="button" :href="entrance.path" target="_blank" rel="noopener"
          >Open its page</a
        >
        <span v-else class="note">Off: its page is not there.</span>
      </p>
      <p v-if="entrance.starts.length" class="note">Starts {{ entrance.starts.join(', ') }}.</p>
      <Labelled id="title" name="Title" :wrong="wrong['entrance/title']">
        <input id="title" v-model="given.title" class="field" maxlength="200" />
      </Labelled>
      <AskedList v-model="given.asks" first="Email address, always" />
      <Labelled
        id="agreement"
        name="They agree to"
        hint="Kept word for word with everybody who signs up."
      >
        <textarea
          id="agreement"
          v-model="given.agreement"
          class="field"
          rows="2"
          maxlength="1000"
        ></textarea>
      </Labelled>
      <label class="flex items-center gap-2">
        <input v-model="given.confirms" type="checkbox" /> they confirm by email first
      </label>
      <div class="grid grid-cols-2 gap-3">
        <Labelled id="lists" name="Puts them on lists" hint="With commas between.">
          <input
            id="lists"
            class="field"
            :value="given.lists.join(', ')"
            @change="given.lists = named(($event.target as HTMLInputElement).value)"
          />
        </Labelled>
        <Labelled id="tags" name="Tags them" hint="With commas between.">
          <input
            id="tags"
            class="field"
            :value="given.tags.join(', ')"
            @change="given.tags = named(($event.target as HTMLInputElement).value)"
          />
        </Labelled>
      </div>
      <div class="grid gap-4">
        <Labelled id="button" name="The button says">
          <input id="button" v-model="given.button" class="field w-60!" maxlength="60" />
        </Labelled>
        <div>
          <label class="label" for="then">Then</label>
          <span class="flex gap-2">
            <select id="then" v-model="then" class="field w-32!">
              <option value="words">shows</option>
              <option value="page" :disabled="!pages.length">shows page</option>
              <option value="address">leads to</option>
            </select>
            <input
              v-if="given.then.kind === 'address'"
              v-model="given.then.url"
              class="field"
              maxlength="2000"
              aria-label="The web address it leads to"
            />
            <select
              v-else-if="given.then.kind === 'page'"
              v-model="given.then.message"
              class="field"
              aria-label="The message whose parts it shows then"
            >
              <option v-for="one in pages" :key="one.id" :value="one.id">{{ one.name }}</option>
            </select>
            <input
              v-else-if="given.then.kind === 'words'"
              v-model="given.then.words"
              class="field"
              maxlength="1000"
              aria-label="What it shows then"
            />
          </span>
        </div>
      </div>
      <div class="grid grid-cols-2 gap-3">
        <Labelled id="above" name="Above the form" hint="The parts of a message, as composed.">
          <select
            id="above"
            class="field"
            :value="given.above ?? ''"
            @change="put('above', ($event.target as HTMLSelectElement).value)"
          >
            <option value="">the title alone</option>
            <option v-for="one in pages" :key="one.id" :value="one.id">{{ one.name }}</option>
          </select>
        </Labelled>
        <Labelled id="hands-out" name="Hands out a file">
          <select
            id="hands-out"
            class="field"
            :value="given.handsOut ?? ''"
            @change="put('handsOut', ($event.target as HTMLSelectElement).value)"
          >
            <option value="">nothing</option>
            <option v-for="one in files" :key="one.name" :value="one.name">{{ one.name }}</option>
          </select>
        </Labelled>
        <Labelled
          id="tells"
          name="Tells somebody of the team"
          hint="They find it under notices in Glasshouse."
        >
          <input
            id="tells"
            class="field"
            maxlength="200"
            :value="given.tells ?? ''"
            @input="put('tells', ($event.target as HTMLInputElement).value)"
          />
        </Labelled>
      </div>
      <WaysIn v-if="entrance.on" :entrance="entrance" />
      <div v-if="entrance.days.length">
        <h3 class="label">Day by day</h3>
        <DaysPicture class="mb-2" :days="entrance.days" :until="entrance.today" />
        <table class="w-full" aria-label="Day by day">
          <thead>
            <tr class="note text-left">
              <th class="font-normal">the last 30 days</th>
              <th class="text-right font-normal">visits</th>
              <th class="text-right font-normal">signed up</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="one in entrance.days" :key="one.day" class="border-t border-line2">
              <td>{{ day(one.day) }}</td>
              <td class="figure text-right">{{ count(one.visits) }}</td>
              <td class="figure text-right">{{ count(one.signUps) }}</td>
            </tr>
            <tr class="border-t border-line font-semibold">
              <td>together</td>
              <td class="figure text-right">{{ count(entrance.visits) }}</td>
              <td class="figure text-right">{{ count(entrance.signUps) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="flex gap-2">
        <button type="button" class="button button-small" :disabled="busy" @click="copy">
          Make a copy
        </button>
      </p>
      <GoneForGood ask="Delete it" does="Delete" keeps="Keep it" :busy="busy" @sure="remove">
        <template #consequences>
          Its page goes, and so does who signed up at it and what they agreed to there; the people
          stay.
        </template>
      </GoneForGood>
    </section>
    <PagePicture :html="look.data.value?.html" title="The page with the form" />
  </div>
</template>
