<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { PressureTried, PressureView } from '@/api/types'
import { useForm } from '@/api/useForm'
import { useKeptDraft } from '@/editing/useKeptDraft'
import Trouble from '@/ui/Trouble.vue'

type Purpose = PressureView['order'][number]

/** How much mail is enough for one person, what goes first, and what that costs and saves. */
const PURPOSES: Record<Purpose, string> = {
  WELCOME: 'Welcome',
  NURTURE: 'Nurture',
  CART: 'Cart',
  DATE_BASED: 'Date-based',
  NEWSLETTER: 'Newsletters',
  OTHER: 'Other journeys',
}
const BECOMES: { key: PressureView['then']; says: string }[] = [
  { key: 'TELL', says: 'it goes out all the same, and the calendar tells' },
  { key: 'WAIT', says: 'it waits until there is room' },
  { key: 'LEAVE_OUT', says: 'it is left out' },
]

const { data: view, error } = useQuery(questions.pressure())
const asKept = (is: PressureView) => ({ document: is, version: is.version })
const { given, changed, save, undo, ...saving } = useKeptDraft<PressureView>({
  kept: computed(() => view.value && asKept(view.value)),
  place: 'pressure',
  fields: ['emailsPerWeek'],
  put: async ({ document: { emailsPerWeek, then, order }, version }) =>
    asKept(
      await answerOf(api.PUT('/api/pressure', { body: { emailsPerWeek, then, order, version } })),
    ),
  lookAnew: () => Promise.all([outdated('pressure'), outdated('account'), outdated('calendar')]),
})
const trying = useForm()
const tried = ref<PressureTried | null>(null)
const route = useRoute()
const form = useTemplateRef<HTMLFormElement>('form')
const shown = ref(false)
const order = computed(() => ({
  emailsPerWeek: given.value!.emailsPerWeek,
  then: given.value!.then,
  order: given.value!.order,
  version: given.value!.version,
}))
/* Whoever comes for this part sees it at once. */
watch(
  given,
  async (now) => {
    if (!now || route.hash !== '#pressure' || shown.value) return
    shown.value = true
    await nextTick()
    form.value?.scrollIntoView({ block: 'end' })
  },
  { immediate: true },
)
watch(
  () => JSON.stringify(given.value),
  () => (tried.value = null),
)

function move(at: number, by: number) {
  const all = [...given.value!.order]
  const [one] = all.splice(at, 1)
  all.splice(at + by, 0, one!)
  given.value!.order = all
}

async function tryIt() {
  await trying.send(async () => {
    tried.value = await answerOf(api.POST('/api/pressure/trials', { body: order.value }))
  })
}
</script>

<template>
  <form
    id="pressure"
    ref="form"
    class="panel grid gap-3 p-4"
    aria-labelledby="pressure-head"
    @submit.prevent="save"
  >
    <header class="flex items-center gap-3">
      <h2 id="pressure-head" class="text-lead font-bold">Enough for one person</h2>
      <span class="note">from all journeys and newsletters together</span>
      <span class="ml-auto flex gap-2">
        <button v-if="changed && view" type="button" class="button button-small" @click="undo">
          Undo
        </button>
        <button class="button button-small" :disabled="saving.busy.value || !changed">
          Let it hold
        </button>
      </span>
    </header>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <template v-if="given && view">
      <p class="flex flex-wrap items-center gap-2">
        <label for="pressure-week">At most</label>
        <input
          id="pressure-week"
          v-model.number="given.emailsPerWeek"
          type="number"
          min="1"
          max="50"
          class="field figure w-16!"
          :aria-invalid="!!saving.wrong.value.emailsPerWeek"
        />
        <label for="pressure-then">emails within seven days; of one too many</label>
        <select id="pressure-then" v-model="given.then" class="field w-auto!">
          <option v-for="one in BECOMES" :key="one.key" :value="one.key">{{ one.says }}</option>
        </select>
      </p>
      <fieldset v-if="given.then !== 'TELL'">
        <legend class="label">
          When there is room for some only, these go first, if they come within a day
        </legend>
        <ol class="flex flex-wrap gap-2">
          <li
            v-for="(purpose, at) in given.order"
            :key="purpose"
            class="flex items-center gap-1 rounded-md border border-line bg-sunk px-2 py-1"
          >
            <span class="figure text-note text-ink2">{{ at + 1 }}</span>
            {{ PURPOSES[purpose] }}
            <button
              type="button"
              class="px-1 disabled:opacity-30"
              :disabled="at === 0"
              :aria-label="`${PURPOSES[purpose]} sooner`"
              @click="move(at, -1)"
            >
              ←
            </button>
            <button
              type="button"
              class="px-1 disabled:opacity-30"
              :disabled="at === given.order.length - 1"
              :aria-label="`${PURPOSES[purpose]} later`"
              @click="move(at, 1)"
            >
              →
            </button>
          </li>
        </ol>
      </fieldset>
      <p class="text-ink2">
        {{ changed ? 'As it is now: ' : '' }}{{ view.says
        }}{{ changed ? ' What stands above holds once you say so.' : '' }}
      </p>
      <p v-if="given.then !== 'TELL'" class="flex items-center gap-3">
        <button
          type="button"
          class="button button-small"
          :disabled="trying.busy.value"
          @click="tryIt"
        >
          {{ trying.busy.value ? 'Trying it …' : 'What would it cost and save?' }}
        </button>
        <span class="note"
          >A dry run of all that is open and all newsletters that are to go, on the same people with
          and without it.</span
        >
      </p>
      <ul v-if="tried" class="grid gap-1 border-l-2 border-line pl-3" aria-label="What came of it">
        <li v-for="line in tried.says" :key="line">{{ line }}</li>
        <li class="note">Together: {{ tried.journeys.join(', ') }}.</li>
      </ul>
      <p v-if="saving.told.value" class="warning" role="alert">{{ saving.told.value }}</p>
      <p v-if="trying.told.value" class="warning" role="alert">{{ trying.told.value }}</p>
    </template>
  </form>
</template>
