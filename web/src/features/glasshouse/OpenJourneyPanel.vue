<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { questions } from '@/api/queries'
import type { ForecastTold, OpenJourney } from '@/api/types'
import { useRun } from '@/features/dryrun/useRun'
import { wholeOf } from '@/features/workbench/edits'
import Trellis from '@/trellis/Trellis.vue'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { reasonOf } from '@/api/client'
import { remarksOf } from './forecast/figures'
import { shortMoment } from '@/ui/moments'
import StepPeopleList from './StepPeopleList.vue'

/**
 * A journey that runs: the people on its trellis as they stand now, or what happened to all who
 * came, marked where that is otherwise than forecast.
 */
const props = defineProps<{ journey: OpenJourney; told: ForecastTold | null }>()

const VIEWS = [
  { key: 'now', name: 'people now' },
  { key: 'all', name: 'all who came' },
] as const
const shown = ref<(typeof VIEWS)[number]['key']>('now')
const all = computed(() => (shown.value === 'all' ? props.told : null))
const remarks = computed(() => (props.told ? remarksOf(props.told.figures) : null))

const { data: view, error } = useQuery(computed(() => questions.journeyView(props.journey.id)))
const selected = ref<string | null>(null)
watch(
  () => props.journey.id,
  () => (selected.value = null),
)
const router = useRouter()
const { progress, failure, count: countLives } = useRun()

/** What people went through, in the views of the dry run. */
async function report() {
  const id = props.journey.id
  const made = await countLives(id)
  if (made !== null) await router.push({ name: 'dry-run', params: { id }, query: { run: made } })
}

const standing = computed(() => new Map(Object.entries(props.journey.atSteps)))
const nameOfStep = computed(
  () => view.value?.sheet.rows.find((row) => row.id === selected.value)?.brief ?? selected.value,
)
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <div class="flex items-start gap-2 px-3 py-1.5">
      <p class="flex-1 text-ink2">
        <template v-if="journey.since !== null"
          >open since {{ shortMoment(journey.since) }}</template
        >
        <template v-else>nobody new enters</template>
        · {{ count(journey.entered) }} came,
        <b class="text-ink">{{ count(journey.inside) }} inside</b>,
        {{ count(journey.finished) }} through, {{ count(journey.left) }} left
        <RouterLink
          class="ml-2 underline"
          :to="
            journey.newsletter
              ? { name: 'newsletter', params: { id: journey.id } }
              : {
                  name: 'workbench',
                  params: { id: journey.id },
                  query: selected ? { step: selected } : {},
                }
          "
          >{{ journey.newsletter ? 'Newsletter' : 'Workbench' }}</RouterLink
        >
        <button
          v-if="journey.entered > 0"
          type="button"
          class="ml-2 underline disabled:text-ink2"
          :disabled="progress !== null"
          @click="report"
        >
          {{ progress ? 'Counting…' : 'Live report' }}
        </button>
      </p>
      <ChoiceBar
        v-if="told"
        v-model="shown"
        class="text-note"
        label="Who is shown"
        :choices="VIEWS"
      />
    </div>
    <Trouble v-if="error" class="m-3" :text="reasonOf(error)" />
    <Trouble v-if="failure" class="m-3" :text="failure" />
    <div v-if="view" class="min-h-0 flex-1 px-2">
      <Trellis
        :body="wholeOf(view).body"
        :measures="all?.measures ?? null"
        :remarks="remarks"
        :sheet="view.sheet"
        :selected="selected"
        :standing="all ? null : standing"
        :among="Math.max(1, journey.inside)"
        @select="(step) => (selected = selected === step ? null : step)"
      />
    </div>
    <StepPeopleList
      v-if="selected"
      class="max-h-44 overflow-y-auto border-t border-line"
      :journey="journey.id"
      :step="selected"
      :name="nameOfStep ?? ''"
    />
    <p v-else class="px-3 pb-2 text-note text-ink2">
      {{
        all
          ? 'Ribbons are the shares of all who came, leaves are filled as they were opened.'
          : 'Circles are people as they stand now. Choose a step to see who they are.'
      }}
      <template v-if="remarks?.size">
        Clay marks a step that came otherwise than forecast.</template
      >
    </p>
  </div>
</template>
