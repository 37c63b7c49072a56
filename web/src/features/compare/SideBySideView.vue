<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import type { ComparisonView, DryRunSummary } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import CompareTable from './CompareTable.vue'
import GoalCurves from './GoalCurves.vue'
import { MEASURES, type Measure } from './measures'
import RunPicker from './RunPicker.vue'

const route = useRoute()
const router = useRouter()

const runs = shallowRef<DryRunSummary[] | null>(null)
const comparison = shallowRef<ComparisonView | null>(null)
const measure = ref<Measure>('opened')
const failure = ref<string | null>(null)
let asked = 0

const chosen = computed(() =>
  String(route.query.runs ?? '')
    .split(',')
    .map(Number)
    .filter((id) => id > 0),
)

watch(chosen, compare, { immediate: true })

async function compare() {
  const number = ++asked
  failure.value = null
  try {
    runs.value ??= await answerOf(api.GET('/api/dry-runs'))
    const wanted = chosen.value
    const answer =
      wanted.length < 2
        ? null
        : await answerOf(api.GET('/api/comparisons', { params: { query: { runs: wanted } } }))
    if (number === asked) comparison.value = answer
  } catch (reason) {
    if (number === asked) failure.value = reasonOf(reason)
  }
}

function toggle(run: number) {
  const now = chosen.value
  const next = now.includes(run) ? now.filter((id) => id !== run) : [...now, run]
  void router.replace({ query: next.length ? { runs: next.join(',') } : {} })
}
</script>

<template>
  <main class="flex flex-col">
    <header class="flex shrink-0 items-center gap-4 px-4 pt-2.5 pb-2">
      <h1 class="text-[22px]">Side by side</h1>
      <span class="inline-flex" role="group" aria-label="What the table shows">
        <button
          v-for="one in MEASURES"
          :key="one.key"
          type="button"
          class="border border-line px-3 py-1 not-first:border-l-0 first:rounded-l-md last:rounded-r-md"
          :class="measure === one.key ? 'bg-pine font-semibold text-white' : 'bg-panel'"
          :aria-pressed="measure === one.key"
          @click="measure = one.key"
        >
          {{ one.name }}
        </button>
      </span>
      <span class="note">lined up by email order</span>
      <span class="ml-auto" />
      <RunPicker v-if="runs" :runs="runs" :chosen="chosen" @toggle="toggle" />
    </header>
    <div v-if="failure" class="px-3 pb-2"><Trouble :text="failure" /></div>
    <div v-if="comparison" class="flex min-h-0 flex-1 flex-col gap-3 px-3 pb-3">
      <section class="panel flex min-h-0 flex-[1.3] flex-col" aria-label="Emails side by side">
        <CompareTable :columns="comparison.columns" :measure="measure" />
      </section>
      <div class="grid min-h-0 flex-1 grid-cols-2 gap-3">
        <section class="panel flex min-h-0 flex-col" aria-labelledby="differences">
          <div class="panel-head"><h2 id="differences">Which does better</h2></div>
          <ul class="min-h-0 overflow-y-auto">
            <li
              v-for="difference in comparison.differences"
              :key="difference.run"
              class="border-b border-line2 px-3 py-2.5"
            >
              {{ difference.sentence }}
            </li>
          </ul>
        </section>
        <section class="panel flex min-h-0 flex-col" aria-labelledby="curves">
          <div class="panel-head">
            <h2 id="curves">Goal met by day since entry</h2>
            <span class="note">people still inside count as not yet; band 95%</span>
          </div>
          <GoalCurves class="min-h-0 flex-1" :columns="comparison.columns" />
        </section>
      </div>
    </div>
    <section v-else-if="runs" class="panel m-3 p-10 text-center">
      <h2 class="text-[17px]">
        {{ chosen.length === 1 ? 'One run is chosen' : 'Choose two runs or more' }}
      </h2>
      <p class="mx-auto mt-1 mb-4 max-w-lg text-ink2">
        {{
          runs.length === 0
            ? 'There are no dry runs yet. Open a journey and send a simulated cohort through it.'
            : 'Runs of the same people (same seed, number and audience groups) are compared person by person; others by their totals.'
        }}
      </p>
      <ul class="mx-auto inline-flex flex-col items-stretch gap-1.5 text-left">
        <li v-for="run in runs.slice(0, 8)" :key="run.id">
          <button
            type="button"
            class="button w-full justify-start! font-medium!"
            :class="{ 'border-marigold! bg-marigold-soft!': chosen.includes(run.id) }"
            :aria-pressed="chosen.includes(run.id)"
            @click="toggle(run.id)"
          >
            {{ run.journeyName }} v{{ run.journeyVersion }} ·
            {{ run.people.toLocaleString('en-US') }} people · seed {{ run.seed }} · run {{ run.id }}
          </button>
        </li>
      </ul>
    </section>
  </main>
</template>
