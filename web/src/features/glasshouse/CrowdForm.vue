<script setup lang="ts">
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { OpenJourney } from '@/api/types'
import { useForm } from '@/api/useForm'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { shortMoment } from './moments'

/** Lets simulated people come into open journeys. */
const props = defineProps<{ journeys: OpenJourney[] }>()

const open = computed(() => props.journeys.filter((one) => one.since !== null))
const journey = ref<number | null>(null)
const people = ref(100)
const days = ref(7)
const come = ref<string | null>(null)
const { wrong, failure, busy, send } = useForm()
const chosen = computed(() => journey.value ?? open.value[0]?.id ?? null)

async function letThemCome() {
  come.value = null
  await send(async () => {
    const crowd = await answerOf(
      api.POST('/api/live/crowds', {
        body: {
          journeys: chosen.value === null ? [] : [chosen.value],
          people: people.value,
          days: days.value,
          seed: Math.floor(Math.random() * 1_000_000),
        },
      }),
    )
    come.value = `${count(crowd.people)} people come, the first on ${shortMoment(crowd.from)}: turn the clock on.`
    await Promise.all([outdated('live'), outdated('people')])
  })
}
</script>

<template>
  <section class="panel px-3 py-2.5" aria-labelledby="let-come">
    <h2 id="let-come" class="font-semibold">Let people come</h2>
    <p class="text-ink2">
      Simulated people who read, click and buy as the journey assumes. The mail server takes their
      mail, too.
    </p>
    <form
      class="mt-2 grid grid-cols-[auto_1fr] items-center gap-x-3 gap-y-1.5"
      @submit.prevent="letThemCome"
    >
      <label for="crowd-journey">into</label>
      <select id="crowd-journey" v-model="journey" class="field" :disabled="!open.length">
        <option :value="null">{{ open[0]?.name ?? 'no journey is open' }}</option>
        <option v-for="one in open.slice(1)" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <label for="crowd-people">how many</label>
      <input
        id="crowd-people"
        v-model.number="people"
        class="field text-right"
        type="number"
        min="1"
        max="5000"
        required
        :aria-invalid="!!wrong.people"
      />
      <label for="crowd-days">over days</label>
      <input
        id="crowd-days"
        v-model.number="days"
        class="field text-right"
        type="number"
        min="1"
        max="365"
        required
        :aria-invalid="!!wrong.days"
      />
      <p v-if="wrong.people || wrong.days" class="col-span-2 text-note text-clay" role="alert">
        {{ wrong.people ?? wrong.days }}
      </p>
      <button
        type="submit"
        class="button button-main col-span-2 justify-self-start"
        :disabled="busy || chosen === null"
      >
        {{ busy ? 'They are being drawn…' : 'Let them come' }}
      </button>
    </form>
    <Trouble v-if="failure" class="mt-2" :text="failure" />
    <p v-if="come" class="mt-2 text-vine" role="status">{{ come }}</p>
  </section>
</template>
