<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { OpenJourney, ComingPace } from '@/api/types'
import { useForm } from '@/api/useForm'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { shortMoment } from '@/ui/moments'
import VisitorCrowds from './VisitorCrowds.vue'

/** Lets simulated people come into open journeys: by themselves, through a form, or put in. */
const props = defineProps<{ journeys: OpenJourney[] }>()

const open = computed(() => props.journeys.filter((one) => one.since !== null))
const { data: visitors } = useQuery(questions.visitors())
const doors = computed(() => visitors.value?.doors.filter((one) => one.ways.length) ?? [])

/** The number of the form that was chosen; null for those who are put in. */
const picked = ref<number | null>()
const through = computed({
  get: () => (picked.value === undefined ? (doors.value[0]?.entrance ?? null) : picked.value),
  set: (form) => (picked.value = form),
})
const door = computed(() => doors.value.find((one) => one.entrance === through.value))

const journey = ref<number | null>(null)
const ways = ref<number[]>([])
watch(
  () => door.value?.entrance,
  () => {
    const all = door.value?.ways ?? []
    const byForm = all.filter((one) => one.byForm)
    ways.value = (byForm.length ? byForm : all.slice(0, 1)).map((one) => one.journey)
  },
  { immediate: true },
)
const chosen = computed(() => {
  if (door.value) return ways.value
  const one = journey.value ?? open.value[0]?.id
  return one === undefined ? [] : [one]
})

const people = ref(100)
const days = ref(7)
const pace = ref<ComingPace>('EVENLY')
const confirm = ref(80)
const come = ref<string | null>(null)
const { wrong, failure, busy, send } = useForm('people', 'days', 'confirm')

async function letThemCome() {
  come.value = null
  await send(async () => {
    const seed = Math.floor(Math.random() * 1_000_000)
    const order = {
      journeys: chosen.value,
      people: people.value,
      days: days.value,
      pace: pace.value,
      seed,
    }
    if (door.value) {
      const body = { ...order, entrance: door.value.entrance, confirm: confirm.value }
      await answerOf(api.POST('/api/visitors/crowds', { body }))
      come.value = 'Turn the clock on, and they come.'
    } else {
      const crowd = await answerOf(api.POST('/api/live/crowds', { body: order }))
      come.value = `${count(crowd.people)} people come, the first on ${shortMoment(crowd.from)}: turn the clock on.`
    }
    await Promise.all([outdated('live'), outdated('people'), outdated('visitors')])
  })
}
</script>

<template>
  <section class="panel max-h-[60vh] overflow-y-auto px-3 py-2.5" aria-labelledby="let-come">
    <h2 id="let-come" class="font-semibold">Let people come</h2>
    <p class="text-note text-ink2">
      {{
        door
          ? 'They sign up, read, click and buy as the journey assumes, through the same doors as everybody.'
          : 'They are in at once, and read, click and buy as the journey assumes.'
      }}
    </p>
    <form
      class="mt-1.5 grid grid-cols-[auto_1fr] items-center gap-x-3 gap-y-1.5"
      @submit.prevent="letThemCome"
    >
      <label for="crowd-through">through</label>
      <select id="crowd-through" v-model="through" class="field min-w-0" :disabled="!open.length">
        <option v-for="one in doors" :key="one.entrance" :value="one.entrance">
          {{ one.name }}
        </option>
        <option :value="null">no form: put in</option>
      </select>
      <template v-if="door">
        <span id="crowd-into" class="self-start pt-0.5">into</span>
        <div role="group" aria-labelledby="crowd-into" class="min-w-0">
          <label v-for="way in door.ways" :key="way.journey" class="flex items-baseline gap-1.5">
            <input v-model="ways" type="checkbox" :value="way.journey" />
            <span class="min-w-0"
              >{{ way.name }} <span class="text-note text-ink2">{{ way.how }}</span></span
            >
          </label>
        </div>
      </template>
      <template v-else>
        <label for="crowd-journey">into</label>
        <select id="crowd-journey" v-model="journey" class="field min-w-0" :disabled="!open.length">
          <option :value="null">{{ open[0]?.name ?? 'no journey is open' }}</option>
          <option v-for="one in open.slice(1)" :key="one.id" :value="one.id">{{ one.name }}</option>
        </select>
      </template>
      <label for="crowd-people">how many</label>
      <div class="flex items-center gap-2">
        <input
          id="crowd-people"
          v-model.number="people"
          class="field w-20 text-right"
          type="number"
          min="1"
          :max="door ? 1000 : 5000"
          required
          :aria-invalid="!!wrong.people"
        />
        <label for="crowd-days">over days</label>
        <input
          id="crowd-days"
          v-model.number="days"
          class="field w-16 text-right"
          type="number"
          min="1"
          max="365"
          required
          :aria-invalid="!!wrong.days"
        />
      </div>
      <label for="crowd-pace">pace</label>
      <div class="flex items-center gap-2">
        <select id="crowd-pace" v-model="pace" class="field min-w-0">
          <option value="EVENLY">evenly</option>
          <option value="MOST_AT_FIRST">most at first</option>
        </select>
        <template v-if="door?.confirms">
          <input
            id="crowd-confirm"
            v-model.number="confirm"
            class="field w-14 text-right"
            type="number"
            min="1"
            max="100"
            required
            title="How many of a hundred confirm that it was they; 80 is our guess"
            :aria-invalid="!!wrong.confirm"
          />
          <label for="crowd-confirm" class="whitespace-nowrap">in 100 confirm</label>
        </template>
      </div>
      <p
        v-for="(said, field) in wrong"
        :key="field"
        class="col-span-2 text-note text-clay"
        role="alert"
      >
        {{ said }}
      </p>
      <button
        type="submit"
        class="button button-main col-span-2 justify-self-start"
        :disabled="busy || chosen.length === 0"
      >
        {{ busy ? 'They are being drawn…' : 'Let them come' }}
      </button>
    </form>
    <Trouble v-if="failure" class="mt-2" :text="failure" />
    <p v-if="come" class="mt-2 text-vine" role="status">{{ come }}</p>
    <VisitorCrowds v-if="visitors" :crowds="visitors.crowds" />
  </section>
</template>
