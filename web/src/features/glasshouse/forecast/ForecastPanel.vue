<script setup lang="ts">
import { computed, ref } from 'vue'
import type { ForecastView } from '@/api/types'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import Trouble from '@/ui/Trouble.vue'
import { count } from '@/ui/figures'
import ForecastRow from './ForecastRow.vue'
import GoalByDay from './GoalByDay.vue'
import LearnPanel from './LearnPanel.vue'
import { byDay, OF_STEPS, ofSteps, ofTheWhole, scaleOf, type OfSteps } from './figures'

/** What was forecast of a journey's people beside what happened to them. */
const props = defineProps<{ journey: number; view: ForecastView; names: Map<string, string> }>()

const about = ref<OfSteps>('OPENED')
const told = computed(() => props.view.told)
const figures = computed(() => told.value?.figures ?? [])
const steps = computed(() => ofSteps(figures.value, about.value, props.names))
const whole = computed(() => ofTheWhole(figures.value))
const days = computed(() => byDay(figures.value))
const learns = ref(false)
const choice = computed(() => OF_STEPS.find((one) => one.key === about.value)!.name)
</script>

<template>
  <Trouble v-if="view.failure" class="m-3" :text="view.failure" />
  <p v-if="view.state === 'NOBODY'" class="p-6 text-ink2">
    Nobody has entered this journey yet. Let people come, or put somebody in by hand: then what was
    forecast of them stands here beside what happened.
  </p>
  <p v-else-if="!told && view.state === 'WORKING'" class="p-6 text-ink2" role="status">
    The people who came are sent through again as the journey assumes: dry run
    {{ count(view.done) }} of {{ count(view.runs) }}.
  </p>
  <template v-if="told">
    <LearnPanel v-if="learns" :journey="journey" :names="names" @close="learns = false" />
    <template v-else>
      <div class="flex flex-wrap items-center gap-2 px-3 py-1.5">
        <ChoiceBar v-model="about" class="text-note" label="What is compared" :choices="OF_STEPS" />
        <span class="text-note text-ink2" role="status">
          {{
            view.state === 'WORKING'
              ? `worked out anew: ${Math.round((100 * view.done) / view.runs)}%`
              : ''
          }}
        </span>
        <button type="button" class="button button-small ml-auto" @click="learns = true">
          Learn the assumptions from this
        </button>
      </div>
      <table class="w-full">
        <thead class="text-note text-ink2">
          <tr>
            <th class="px-3 text-left font-medium">
              {{ about === 'GOT_TO' ? 'step' : 'message' }}
            </th>
            <th class="px-2 text-right font-medium">
              {{ about === 'GOT_TO' ? 'entered' : about === 'DELIVERED' ? 'sent' : 'delivered' }}
            </th>
            <th class="px-2 text-right font-medium">{{ choice }}, forecast</th>
            <th class="px-2 text-right font-medium">happened</th>
            <th class="px-3 text-left font-medium">0 … {{ 100 * scaleOf(steps) }}%</th>
            <th class="px-3 text-left font-medium">so</th>
          </tr>
        </thead>
        <tbody>
          <ForecastRow
            v-for="row in steps"
            :key="row.key"
            :name="row.name"
            :figure="row.figure"
            :to="scaleOf(steps)"
          />
        </tbody>
        <thead class="text-note text-ink2">
          <tr class="border-t border-line">
            <th class="px-3 pt-1.5 text-left font-medium">the whole journey</th>
            <th class="px-2 pt-1.5 text-right font-medium">entered</th>
            <th class="px-2 pt-1.5 text-right font-medium">forecast</th>
            <th class="px-2 pt-1.5 text-right font-medium">happened</th>
            <th class="px-3 pt-1.5 text-left font-medium">0 … {{ 100 * scaleOf(whole) }}%</th>
            <th class="px-3 pt-1.5 text-left font-medium">so</th>
          </tr>
        </thead>
        <tbody>
          <ForecastRow
            v-for="row in whole"
            :key="row.key"
            :name="row.name"
            :figure="row.figure"
            :to="scaleOf(whole)"
          />
        </tbody>
      </table>
      <p class="px-3 pt-2 pb-1">
        <b v-if="told.sentences.length > 1">{{ told.sentences.slice(0, -1).join(' ') }}</b>
        {{ told.sentences.at(-1) }}
      </p>
      <p class="note px-3 pb-2">
        The band is where 95 of 100 dry runs of the same people end up, who come at the same
        moments. Other journeys do nothing to them in it.
        <template v-if="told.others">
          {{ count(told.others) }} came on earlier versions of this journey and are not counted.
        </template>
      </p>
      <GoalByDay v-if="days.length > 1" :figures="days" />
    </template>
  </template>
</template>
