<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import ClockBar from './ClockBar.vue'
import CrowdForm from './CrowdForm.vue'
import ForecastPanel from './forecast/ForecastPanel.vue'
import HappeningList from './HappeningList.vue'
import MailTroubles from './MailTroubles.vue'
import OpenJourneyPanel from './OpenJourneyPanel.vue'
import StandIns from './StandIns.vue'

/** The sheltered place where journeys run for real against the stand-ins. */
const { data: live, error } = useQuery(questions.live())

/* Whatever happened may have brought mail or a text. */
watch(
  () => JSON.stringify(live.value?.happenings[0] ?? null),
  () => void outdated('inbox'),
)

const picked = ref<number | null>(null)
const journey = computed(
  () => live.value?.journeys.find((one) => one.id === picked.value) ?? live.value?.journeys[0],
)
const inside = computed(() => live.value?.journeys.reduce((sum, one) => sum + one.inside, 0) ?? 0)
const open = computed(
  () => live.value?.journeys.filter((one) => one.since !== null && !one.newsletter).length ?? 0,
)

const late = computed(
  () => (live.value?.mail.troubles.length ?? 0) + (live.value?.putOff.length ?? 0),
)

const BELOW = [
  { key: 'forecast', name: 'forecast and fact' },
  { key: 'happenings', name: 'what happened' },
  { key: 'mail', name: 'late and refused' },
] as const
const below = ref<(typeof BELOW)[number]['key']>('forecast')
useTabTitle(() => 'Glasshouse')

/** Changes with whatever happens to those in the journey, so that the forecast is asked for anew. */
const happened = computed(() => {
  if (!live.value || live.value.clock.turning) return ''
  const hour = Math.floor(live.value.clock.now / 3600)
  return `${hour} ${JSON.stringify(live.value.happenings[0] ?? null)}`
})
const { data: forecast } = useQuery(
  computed(() => ({
    ...questions.forecast(journey.value?.id ?? 0, happened.value),
    enabled: journey.value !== undefined,
  })),
)
const { data: plan } = useQuery(
  computed(() => ({
    ...questions.journeyView(journey.value?.id ?? 0),
    enabled: journey.value !== undefined,
  })),
)
const names = computed(() => new Map(plan.value?.sheet.rows.map((row) => [row.id, row.brief])))

function journeys(many: number): string {
  return many === 1 ? '1 open journey' : `${count(many)} open journeys`
}
</script>

<template>
  <main class="flex min-h-0 flex-col gap-2 p-3">
    <Trouble v-if="error" :text="reasonOf(error)" />
    <template v-if="live">
      <header class="flex items-center gap-4">
        <h1 class="text-page">Glasshouse</h1>
        <ClockBar class="flex-1" :clock="live.clock" :fixed="live.mail.leavesTo !== null" />
      </header>
      <p class="px-1">
        <b
          >{{ inside === 1 ? '1 person is' : `${count(inside)} people are` }} inside
          {{ journeys(open) }}.</b
        >{{ ' ' }}
        <span class="text-ink2">
          {{
            live.mail.waiting === 0
              ? 'No message waits.'
              : `${count(live.mail.waiting)} messages wait.`
          }}
          {{
            late === 0 ? 'Nothing is late, nothing was refused.' : `${count(late)} late or refused.`
          }}
          {{ live.mail.leavesTo ? '' : 'Everything here stays on this machine.' }}
        </span>
        <b v-if="live.mail.leavesTo" class="text-clay">
          Mail leaves this machine: it goes to {{ live.mail.leavesTo }}.
        </b>
      </p>
      <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(300px,29%)] gap-3">
        <div
          class="grid min-h-0 min-w-0 grid-cols-1 grid-rows-[minmax(0,1.15fr)_minmax(0,1fr)] gap-3"
        >
          <section class="panel flex min-h-0 flex-col" aria-labelledby="running">
            <div class="panel-head overflow-x-auto">
              <h2 id="running" class="sr-only">Journeys that run</h2>
              <button
                v-for="one in live.journeys"
                :key="one.id"
                type="button"
                class="rounded-md px-2 py-0.5 whitespace-nowrap"
                :class="
                  one.id === journey?.id ? 'bg-pine font-semibold text-white' : 'hover:bg-sunk'
                "
                :aria-pressed="one.id === journey?.id"
                @click="picked = one.id"
              >
                {{ one.name }}
                <span class="figure text-note">{{ count(one.inside) }}</span>
              </button>
            </div>
            <OpenJourneyPanel v-if="journey" :journey="journey" :told="forecast?.told ?? null" />
            <p v-else class="p-6 text-ink2">
              No journey is open yet. Open one in its
              <RouterLink class="underline" to="/journeys">workbench</RouterLink>: then people enter
              as it says, and can be put in by hand from their page under People.
            </p>
          </section>
          <section class="panel flex min-h-0 flex-col" aria-labelledby="below">
            <div class="panel-head">
              <h2 id="below" class="sr-only">What happened</h2>
              <ChoiceBar v-model="below" label="What is shown" :choices="BELOW" />
            </div>
            <div
              class="min-h-0 flex-1 overflow-y-auto"
              tabindex="0"
              role="group"
              aria-label="What is shown"
            >
              <ForecastPanel
                v-if="below === 'forecast' && journey && forecast"
                :key="journey.id"
                :journey="journey.id"
                :view="forecast"
                :names="names"
              />
              <MailTroubles v-else-if="below === 'mail'" :mail="live.mail" :stuck="live.putOff" />
              <HappeningList
                v-else-if="below === 'happenings' && live.happenings.length"
                :lines="live.happenings"
                with-names
              />
              <p v-else class="p-6 text-ink2">Nothing has happened yet.</p>
            </div>
          </section>
        </div>
        <div class="grid min-h-0 min-w-0 grid-cols-1 grid-rows-[minmax(0,1fr)_auto] gap-3">
          <StandIns class="min-h-0" :notices="live.notices" />
          <CrowdForm v-if="live.mail.leavesTo === null" :journeys="live.journeys" />
        </div>
      </div>
    </template>
  </main>
</template>
