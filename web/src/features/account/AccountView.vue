<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answerOf, api, faultsOf, NO_FAULTS, reasonOf, Refused, type Faults } from '@/api/client'
import { outdated, queryClient, questions } from '@/api/queries'
import type { AccountSeen } from '@/api/types'
import { useDraft } from '@/editing/useDraft'
import Labelled from '@/ui/Labelled.vue'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import PressurePanel from './PressurePanel.vue'
import SenderRows from './SenderRows.vue'

/** What holds for the whole account. */
const { data: seen, error } = useQuery(questions.account())
const { data: choices, error: noChoices } = useQuery(questions.accountChoices())

const { given, changed, take } = useDraft(
  computed(() => seen.value?.account),
  'account',
)
const faults = ref<Faults>(NO_FAULTS)
const wrong = computed(() => faults.value.wrong)
const theirs = ref<AccountSeen | null>(null)
const busy = ref(false)

/** What can tell at its place what is wrong with it. */
const fields = computed(() => [
  'name',
  'postalAddress',
  'zone',
  'language',
  'currency',
  'monthlyQuota',
  'quietHours',
  'textSender',
  'textStop',
  'segmentPrice',
  'senders',
  ...(given.value?.senders ?? []).flatMap((_, place) =>
    ['name', 'address', 'answersTo'].map((part) => `senders/${place}/${part}`),
  ),
])
const language = computed(() =>
  choices.value?.languages.find((one) => one.tag === given.value?.language),
)
const quiet = computed({
  get: () => given.value?.quietHours !== null,
  set: (on) => (given.value!.quietHours = on ? { from: '21:00', to: '08:00' } : null),
})

/** A number field that may be empty. */
function number(key: 'monthlyQuota' | 'segmentPrice', event: Event) {
  const value = (event.target as HTMLInputElement).valueAsNumber
  given.value![key] = Number.isFinite(value) ? value : null
}

async function save() {
  busy.value = true
  faults.value = NO_FAULTS
  try {
    const sent = JSON.stringify(given.value)
    const saved = await answerOf(api.PUT('/api/account', { body: given.value! }))
    theirs.value = null
    queryClient.setQueryData(questions.account().queryKey, saved)
    const typedSince = JSON.stringify(given.value) !== sent
    take(
      saved.account,
      typedSince ? { ...given.value!, version: saved.account.version } : undefined,
    )
    await outdated('limits')
  } catch (reason) {
    const current = reason instanceof Refused ? reason.problem?.current : null
    if (current) {
      theirs.value = current as unknown as AccountSeen
      given.value!.version = theirs.value.account.version
    } else {
      faults.value = faultsOf(reason, fields.value)
    }
  } finally {
    busy.value = false
  }
}

function takeTheirs() {
  queryClient.setQueryData(questions.account().queryKey, theirs.value!)
  take(theirs.value!.account)
  theirs.value = null
}

useTabTitle(() => 'Account')
</script>

<template>
  <main class="overflow-y-auto px-3 pb-3">
    <form class="mx-auto max-w-250" novalidate aria-label="Account" @submit.prevent="save">
      <header class="flex items-center gap-3 px-1 pt-3 pb-3">
        <h1 class="text-page">Account</h1>
        <span class="note ml-auto" role="status">{{
          changed ? 'Not saved yet' : given ? 'Saved' : ''
        }}</span>
        <button
          v-if="changed && seen"
          type="button"
          class="button"
          :disabled="busy"
          @click="take(seen.account)"
        >
          Undo
        </button>
        <button type="submit" class="button button-main" :disabled="busy || !changed">Save</button>
      </header>
      <Trouble v-if="error ?? noChoices" :text="reasonOf(error ?? noChoices)" />
      <Trouble v-if="faults.elsewhere" class="mb-3" :text="faults.elsewhere" />
      <div v-if="theirs" class="warning mb-3 flex items-center gap-3" role="alert">
        <span class="flex-1"
          >Somebody else has changed the account meanwhile: {{ theirs.account.name || 'no name' }},
          {{ theirs.senders.join(', ') || 'no senders' }}, {{ theirs.example }}. Save again to put
          yours in its place.</span
        >
        <button type="button" class="button button-small" @click="takeTheirs">Take theirs</button>
      </div>
      <!-- Once there is all to choose from: a field shows what is chosen only then. -->
      <div v-if="given && choices" class="grid gap-3">
        <ul v-if="seen?.missing.length" class="warning" aria-label="Still missing">
          <li v-for="one in seen.missing" :key="one">{{ one }}</li>
        </ul>
        <div class="panel grid grid-cols-2 gap-x-6 gap-y-2.5 p-4">
          <Labelled id="account-name" name="Who writes" :wrong="wrong.name">
            <input
              id="account-name"
              v-model="given.name"
              class="field"
              maxlength="120"
              placeholder="Ambercomb"
            />
          </Labelled>
          <Labelled
            id="account-address"
            class="row-span-2"
            name="Postal address"
            :wrong="wrong.postalAddress"
            hint="Stands below every email."
          >
            <textarea
              id="account-address"
              v-model="given.postalAddress"
              class="field"
              rows="4"
              maxlength="500"
            />
          </Labelled>
          <Labelled
            id="account-zone"
            name="Time zone"
            :wrong="wrong.zone"
            hint="Of those of whom none is known."
          >
            <input id="account-zone" v-model="given.zone" class="field" list="zones" />
            <datalist id="zones">
              <option v-for="zone in choices.zones" :key="zone" :value="zone" />
            </datalist>
          </Labelled>
          <Labelled
            id="account-language"
            name="Dates and amounts as in"
            :wrong="wrong.language"
            :hint="
              changed && language ? `Such as ${language.example}.` : `Such as ${seen?.example}.`
            "
          >
            <select id="account-language" v-model="given.language" class="field">
              <option v-for="one in choices.languages" :key="one.tag" :value="one.tag">
                {{ one.name }}
              </option>
            </select>
          </Labelled>
          <Labelled id="account-currency" name="Currency" :wrong="wrong.currency">
            <input
              id="account-currency"
              v-model="given.currency"
              class="field w-24!"
              list="currencies"
              maxlength="3"
            />
            <datalist id="currencies">
              <option v-for="one in choices.currencies" :key="one" :value="one" />
            </datalist>
          </Labelled>
        </div>
        <div class="panel p-4">
          <SenderRows v-model="given.senders" :wrong="wrong" />
        </div>
        <section class="panel grid grid-cols-3 gap-x-6 gap-y-2.5 p-4" aria-labelledby="limits">
          <h2 id="limits" class="col-span-3 text-lead font-bold">What may go out</h2>
          <Labelled
            id="account-quota"
            name="Emails a month, at most"
            :wrong="wrong.monthlyQuota"
            hint="Empty for no limit."
          >
            <input
              id="account-quota"
              type="number"
              min="1"
              class="field figure w-32!"
              :value="given.monthlyQuota"
              @input="number('monthlyQuota', $event)"
            />
          </Labelled>
          <div class="col-span-3 flex min-h-8 flex-wrap items-center gap-2">
            <label class="flex items-center gap-2">
              <input v-model="quiet" type="checkbox" /> Quiet hours
            </label>
            <template v-if="given.quietHours">
              <span>from</span>
              <input
                v-model="given.quietHours.from"
                type="time"
                class="field w-28!"
                aria-label="Quiet from"
              />
              <span>to</span>
              <input
                v-model="given.quietHours.to"
                type="time"
                class="field w-28!"
                aria-label="Quiet to"
              />
              <span class="note">by each person’s own time: nothing is sent then, it waits.</span>
            </template>
            <span v-else class="note">none: messages go out at any hour.</span>
            <span v-if="wrong.quietHours" class="text-note text-clay" role="alert">{{
              wrong.quietHours
            }}</span>
          </div>
        </section>
        <section
          id="texts"
          class="panel grid grid-cols-3 gap-x-6 gap-y-2.5 p-4"
          aria-labelledby="texts-head"
        >
          <h2 id="texts-head" class="col-span-3 text-lead font-bold">Texts</h2>
          <Labelled
            id="account-text-sender"
            name="Texts come from"
            :wrong="wrong.textSender"
            hint="A number, or at most 11 letters and digits."
          >
            <input
              id="account-text-sender"
              v-model="given.textSender"
              class="field"
              maxlength="20"
              placeholder="+47 21 23 45 67"
            />
          </Labelled>
          <Labelled
            id="account-text-stop"
            name="How to get no more of them"
            :wrong="wrong.textStop"
            hint="Stands at the end of each."
          >
            <input
              id="account-text-stop"
              v-model="given.textStop"
              class="field"
              maxlength="60"
              placeholder="Answer STOP to get no more texts"
            />
          </Labelled>
          <Labelled
            id="account-segment"
            :name="`A text’s segment costs, in ${given.currency}`"
            :wrong="wrong.segmentPrice"
            hint="Empty if it is not known."
          >
            <input
              id="account-segment"
              type="number"
              min="0"
              step="any"
              class="field figure w-32!"
              :value="given.segmentPrice"
              @input="number('segmentPrice', $event)"
            />
          </Labelled>
        </section>
      </div>
    </form>
    <PressurePanel class="mx-auto mt-3 max-w-250" />
  </main>
</template>
