<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced, useStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import VChart from 'vue-echarts'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { KeptWay, RunSheet, SearchWish } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { useJourneyStore } from '@/features/workbench/journeyStore'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { useCharts } from '@/ui/chart'
import FoundWays from './FoundWays.vue'
import SearchNote from './SearchNote.vue'
import TriedTable from './TriedTable.vue'
import WishPanel from './WishPanel.vue'
import { useSearch } from './useSearch'
import { pictureOptions } from './waysPicture'
import { usualWish } from './wish'

/** Variations of the journey tried on the same people, the best of them on others. */
const props = defineProps<{
  run: number
  number: number
  journey: number
  people: number
  sheet: RunSheet
  selected: string | null
}>()
const emit = defineEmits<{ select: [step: string] }>()

const SHOWN = [
  { key: 'found', name: 'Ways found' },
  { key: 'picture', name: 'Goal and emails' },
  { key: 'tried', name: 'Everything tried' },
] as const

useCharts()
const router = useRouter()
const store = useJourneyStore()
const leeways = useQuery(() => questions.leeways(props.run, props.number))
const last = useQuery(() => questions.betterWays(props.run, props.number))
const shown = ref<(typeof SHOWN)[number]['key']>('found')
const kept = ref<Record<number, KeptWay>>({})

/** What is looked for: as it was left here, else as it was looked for last, else the usual. */
const draft = useStorage<SearchWish | null>(
  () => `open-trellis.better-${props.run}-${props.number}`,
  null,
  sessionStorage,
  { serializer: { read: (text) => JSON.parse(text), write: (value) => JSON.stringify(value) } },
)
const wish = computed<SearchWish | null>({
  get: () =>
    draft.value ??
    (last.data.value?.wish as SearchWish | null | undefined) ??
    (leeways.data.value && last.data.value ? usualWish(leeways.data.value, props.people) : null),
  set: (other) => (draft.value = other),
})
const settled = refDebounced(wish, 150)
const sized = useQuery(() => ({
  ...questions.searchSize(props.run, props.number, settled.value),
  enabled: (settled.value?.vary.length ?? 0) > 0,
}))
const found = computed(() => last.data.value?.found ?? null)
const {
  stand,
  failure: noSearch,
  search,
  enough,
  cancel,
} = useSearch(
  () => props.run,
  () => props.number,
)
const { failure, busy, attempt } = useAttempt(leeways.error, last.error)
const wrong = computed(() => (sized.error.value ? reasonOf(sized.error.value) : null))
const picture = computed(() => (found.value ? pictureOptions(found.value.tried) : null))

watch(found, () => (kept.value = {}))

async function look() {
  if (!wish.value) return
  shown.value = 'found'
  await search(wish.value)
}

function way(row: number) {
  return { params: { path: { id: props.run, row }, query: { number: props.number } } }
}

/** An ordinary edit of the journey, which is there to be looked at and can be undone. */
const take = (row: number) =>
  attempt(async () => {
    await store.open(props.journey)
    const taken = await answerOf(api.GET('/api/dry-runs/{id}/better-ways/{row}/journey', way(row)))
    if (taken.behaviour && store.view) {
      await answerOf(
        api.PUT('/api/journeys/{id}/behaviour', {
          params: { path: { id: props.journey } },
          body: { version: store.view.behaviourVersion, behaviour: taken.behaviour },
        }),
      )
    }
    store.edit(taken.name, () => taken.journey)
    await router.push({ name: 'workbench', params: { id: props.journey } })
  })

const keep = (row: number) =>
  attempt(async () => {
    const made = await answerOf(api.POST('/api/dry-runs/{id}/better-ways/{row}/versions', way(row)))
    kept.value = { ...kept.value, [row]: made }
    await Promise.all([outdated('versions', props.journey), outdated('runs', 'list')])
  })
</script>

<template>
  <p v-if="failure && !wish" class="p-4 text-clay" role="alert">{{ failure }}</p>
  <p v-else-if="!wish || !leeways.data.value" class="p-4 text-ink2" role="status">
    Looking at what may vary …
  </p>
  <div v-else class="grid min-h-0 flex-1 grid-cols-[clamp(270px,32%,360px)_1fr]">
    <WishPanel
      v-model="wish"
      :leeways="leeways.data.value"
      :sheet="sheet"
      :size="wish.vary.length ? (sized.data.value ?? null) : null"
      :wrong="wish.vary.length ? wrong : 'Choose at least one thing that may vary.'"
      :selected="selected"
      :busy="!!stand"
      @search="look"
      @select="emit('select', $event)"
    />
    <div class="flex min-h-0 min-w-0 flex-col">
      <SearchNote v-if="stand" :stand="stand" @enough="enough" @cancel="cancel" />
      <p v-if="noSearch ?? failure" class="px-3 py-1.5 text-clay" role="alert">
        {{ noSearch ?? failure }}
      </p>
      <template v-if="found">
        <div class="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-line2 px-3 py-1.5">
          <p class="min-w-60 flex-1">
            {{ found.sentence }}<template v-if="found.stopped"> It was cut short.</template>
          </p>
          <ChoiceBar v-model="shown" label="What is shown" :choices="SHOWN" />
        </div>
        <FoundWays
          v-if="shown === 'found'"
          :found="found"
          :run="number === 0 ? String(run) : `${run}.${number}`"
          :kept="kept"
          :busy="busy"
          @take="take"
          @keep="keep"
        />
        <TriedTable v-else-if="shown === 'tried'" :tried="found.tried" />
        <VChart
          v-else-if="picture"
          class="min-h-40 flex-1"
          :option="picture"
          :init-options="{ renderer: 'svg' }"
          autoresize
          aria-label="Goal against emails each"
        />
      </template>
      <div v-else-if="!stand" class="grid flex-1 place-content-center p-6 text-center">
        <h3 class="text-empty">What would be better?</h3>
        <p class="mt-1 max-w-md text-ink2">
          Choose what may vary on the left. Variations are tried on the same people; the best are
          tried again on others, so that nothing is called better because it was lucky.
        </p>
      </div>
    </div>
  </div>
</template>
