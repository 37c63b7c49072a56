<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, ref, watch } from 'vue'
import { useJourneyStore } from '@/features/workbench/journeyStore'
import { useEstimate } from '@/features/workbench/useEstimate'
import Trellis from '@/trellis/Trellis.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import DraftSign from '@/features/workbench/DraftSign.vue'
import Trouble from '@/ui/Trouble.vue'
import type { WalkChoice, Walker } from '@/api/types'
import KeptWalks from './KeptWalks.vue'
import { before, newWalker, useWalk } from './useWalk'
import WalkChoices from './WalkChoices.vue'
import WalkDiary from './WalkDiary.vue'
import WalkerForm from './WalkerForm.vue'

/** One person goes through a journey, step by step, each turn explained. */
const props = defineProps<{ id: number }>()
const store = useJourneyStore()
const { view, journey, loadFailure } = storeToRefs(store)
const { estimate } = useEstimate()
watch(
  () => props.id,
  (id) => store.open(id),
  { immediate: true },
)

const walker = ref<Walker>(newWalker(new Date()))
const { walk, lines, ask, atEnd, failure, step, skip, shown } = useWalk(
  () => props.id,
  () => view.value?.version ?? 0,
  () => walker.value,
)

const groups = computed(() => view.value?.behaviour.groups ?? [])
/** The steps of the diary's shown part: the way that lights up. */
const route = computed(() => {
  const all = walk.value?.route ?? []
  if (atEnd.value) return all
  const seen = new Set(lines.value.map((line) => line.row))
  const last = all.findLastIndex((row) => seen.has(row))
  return all.slice(0, last + 1)
})

function restart(changed: Walker) {
  walker.value = { ...changed, choices: [], modelDecides: false }
  shown.value = 1
}

function choose(choice: WalkChoice) {
  walker.value = { ...walker.value, choices: [...walker.value.choices, choice] }
}

function rest() {
  walker.value = { ...walker.value, modelDecides: true }
  shown.value = Number.MAX_SAFE_INTEGER
}

function goBack(to: string) {
  walker.value = {
    ...walker.value,
    choices: before(walker.value.choices, to),
    modelDecides: false,
  }
  shown.value = Number.MAX_SAFE_INTEGER
}

function open(kept: Walker) {
  walker.value = kept
  shown.value = Number.MAX_SAFE_INTEGER
}

useTabTitle(() => journey.value && `${journey.value.name}: walk`)
</script>

<template>
  <main class="flex flex-col">
    <Trouble v-if="loadFailure" class="m-4" :text="loadFailure" />
    <template v-if="journey && view">
      <header class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-2">
        <h1 class="text-page">{{ journey.name }}: one person’s walk</h1>
        <DraftSign class="ml-2" :journey="view" />
        <RouterLink class="button ml-auto" :to="{ name: 'workbench', params: { id } }"
          >Back to the workbench</RouterLink
        >
      </header>
      <Trouble v-if="failure" class="mx-3 mb-2" :text="failure" />
      <div
        class="grid min-h-0 flex-1 grid-cols-[minmax(390px,31%)_1fr] grid-rows-[minmax(0,1.25fr)_minmax(0,1fr)] gap-3 px-3 pb-3"
      >
        <section class="panel row-span-2 flex min-h-0 flex-col" aria-labelledby="walk">
          <div class="panel-head">
            <h2 id="walk">Diary</h2>
            <span class="ml-auto flex gap-1.5">
              <button type="button" class="button button-small" :disabled="atEnd" @click="step">
                Next
              </button>
              <button type="button" class="button button-small" :disabled="atEnd" @click="skip">
                Skip to the next choice
              </button>
              <button type="button" class="button button-small" @click="restart(walker)">
                From the start
              </button>
            </span>
          </div>
          <details class="border-b border-line2 px-3 py-2" :open="walker.choices.length === 0">
            <summary class="cursor-pointer font-semibold">Who walks</summary>
            <WalkerForm class="mt-2" :walker="walker" :groups="groups" @change="restart" />
          </details>
          <div
            class="min-h-0 flex-1 overflow-y-auto"
            tabindex="0"
            role="group"
            aria-label="What happened"
          >
            <WalkDiary
              :lines="lines"
              :chosen="walker.choices.map((one) => one.step)"
              @back="goBack"
            />
          </div>
          <div class="border-t border-line p-2.5">
            <WalkChoices
              v-if="ask"
              :key="ask.step + walker.choices.length"
              :ask="ask"
              @choose="choose"
              @rest="rest"
            />
            <p v-else-if="atEnd && walk?.end" class="text-ink2" role="status">{{ walk.end }}</p>
            <p v-else class="text-ink2">Next shows what happens then.</p>
          </div>
        </section>
        <section class="panel flex min-h-0 min-w-0 flex-col" aria-labelledby="trellis">
          <div class="panel-head">
            <h2 id="trellis">Trellis</h2>
            <span class="note">the way they went is lit</span>
          </div>
          <div class="min-h-0 flex-1 p-2">
            <Trellis :body="store.drawn" :measures="estimate" :sheet="view.sheet" :route="route" />
          </div>
        </section>
        <KeptWalks :id="id" :version="view.version" :walker="walker" @open="open" />
      </div>
    </template>
  </main>
</template>
