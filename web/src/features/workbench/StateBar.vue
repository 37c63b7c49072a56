<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { StateChange } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'

/** Says plainly what the state means now, and changes it: first what will happen, then the button. */
const store = useJourneyStore()
const selection = useSelection()
const { view, save } = storeToRefs(store)

const LOOK_EVERY_MILLIS = 5_000

const asked = ref<StateChange | null>(null)
const failure = ref<string | null>(null)
const busy = ref(false)
/** Of those inside, when a changed journey is opened. */
const finishBegun = ref(false)
const state = computed(() => view.value!.journey.state)
/** People come and go while one looks on. */
const runs = computed(() => state.value === 'OPEN' || state.value === 'CLOSING')
const { data: fresh } = useQuery(
  computed(() => ({
    ...questions.journeyView(view.value?.id ?? 0),
    enabled: runs.value,
    refetchInterval: LOOK_EVERY_MILLIS,
  })),
)
const now = computed(() =>
  runs.value && fresh.value && fresh.value.version === view.value?.version
    ? fresh.value
    : view.value,
)
const errors = computed(() => view.value!.findings.filter((one) => one.severity === 'ERROR'))
/** What stands in the way of the change that is asked about. */
const inTheWay = computed(() => (asked.value?.to === 'OPEN' ? errors.value : []))

watch(
  () => now.value,
  () => {
    asked.value = now.value?.stateChanges.find((one) => one.to === asked.value?.to) ?? null
  },
)

function ask(one: StateChange) {
  asked.value = asked.value?.to === one.to ? null : one
  finishBegun.value = false
}

async function change() {
  failure.value = null
  busy.value = true
  try {
    await store.changeState(asked.value!.to, finishBegun.value)
    asked.value = null
  } catch (problem) {
    failure.value = reasonOf(problem)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section
    v-if="view"
    class="mx-3 mb-2 rounded-lg border px-3 py-1"
    :class="state === 'DRAFT' ? 'border-marigold bg-marigold-soft' : 'border-line bg-panel'"
    aria-label="State of the journey"
    @keydown.esc="asked = null"
  >
    <div class="flex min-h-6.5 items-center gap-2">
      <b>{{ now!.state.title }}</b>
      <span>{{ now!.state.sentence }}</span>
      <span class="ml-auto flex gap-2">
        <button
          v-for="one in now!.stateChanges"
          :key="one.to"
          type="button"
          class="button button-small"
          :aria-expanded="asked?.to === one.to"
          @click="ask(one)"
        >
          {{ one.label }}…
        </button>
      </span>
    </div>
    <div v-if="asked" class="mt-1 flex items-start gap-2 border-t border-line py-1.5" role="group">
      <div v-if="inTheWay.length" class="flex-1">
        <b class="text-clay">It cannot be opened yet.</b>
        <ul>
          <li v-for="(error, i) in inTheWay" :key="i" class="flex items-center gap-2">
            {{ error.sentence }}
            <button
              type="button"
              class="button button-small"
              @click="selection.select(error.step ?? 'journey')"
            >
              Show
            </button>
          </li>
        </ul>
      </div>
      <template v-else>
        <div class="flex-1">
          <p>{{ asked.sentence }}</p>
          <p v-if="asked.to === 'OPEN' && view.mailLeavesTo" class="font-semibold text-clay">
            Mail leaves this machine: it goes to {{ view.mailLeavesTo }}.
          </p>
          <fieldset v-if="asked.goOn" class="mt-1 flex flex-col gap-1">
            <legend class="sr-only">What becomes of those inside</legend>
            <label class="flex items-start gap-2">
              <input v-model="finishBegun" type="radio" class="mt-1" :value="false" />
              {{ asked.goOn }}
            </label>
            <label class="flex items-start gap-2">
              <input v-model="finishBegun" type="radio" class="mt-1" :value="true" />
              {{ asked.finishBegun }}
            </label>
          </fieldset>
        </div>
        <button
          type="button"
          class="button button-small button-main"
          :disabled="busy || save.status !== 'saved'"
          @click="change"
        >
          {{ asked.label }} now
        </button>
      </template>
      <button type="button" class="button button-small" @click="asked = null">Leave it</button>
    </div>
    <Trouble v-if="failure" class="my-1" :text="failure" />
  </section>
</template>
