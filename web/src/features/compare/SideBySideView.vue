<script setup lang="ts">
import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { computed, nextTick, ref, watch } from 'vue'
import { useRoute, useRouter, type LocationQueryRaw } from 'vue-router'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { KeptComparison, StandOut } from '@/api/types'
import DifferenceList from '@/features/workbench/DifferenceList.vue'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import Trouble from '@/ui/Trouble.vue'
import CompareCurves from './CompareCurves.vue'
import CompareTable from './CompareTable.vue'
import KeptMenu from './KeptMenu.vue'
import { LINE_UPS, type LineUp, type Measure, MEASURES } from './measures'
import NoComparison from './NoComparison.vue'
import RunPicker from './RunPicker.vue'
import { newestOfEachPurpose } from './runRefs'
import StandOutList from './StandOutList.vue'
import WholeTable from './WholeTable.vue'

const route = useRoute()
const router = useRouter()

const list = useInfiniteQuery(questions.runs(null))
const pages = computed(() => list.data.value?.pages)
const runs = computed(() => pages.value?.flatMap((page) => page.runs) ?? null)
const chosenCell = ref<{ row: string; run: number } | null>(null)
const side = ref<'stands-out' | 'whole' | 'versions'>('stands-out')

/* What is compared stands in the address, so that a reload comes back to it. */
const chosen = computed(() =>
  String(route.query.runs ?? '')
    .split(',')
    .filter((ref) => /^\d+(\.\d)?$/.test(ref)),
)
const baseline = computed(() => Math.min(Number(route.query.with ?? 0), chosen.value.length - 1))
const measure = computed({
  get: () => MEASURES.find((one) => one.key === route.query.show)?.key ?? 'OPENED',
  set: (show: Measure) => change({ show }),
})
/** Nothing if the server is to choose what suits the runs. */
const chosenLineUp = computed(() => LINE_UPS.find((one) => one.key === route.query.by)?.key)
const lineUp = computed({
  get: () => chosenLineUp.value ?? comparison.value?.comparison.table.lineUp ?? 'EMAIL_ORDER',
  set: (by: LineUp) => change({ by }),
})
const query = computed(() => ({
  runs: chosen.value,
  baseline: Math.max(0, baseline.value),
  ...(chosenLineUp.value ? { lineUp: chosenLineUp.value } : {}),
  compared: measure.value,
}))
function change(part: LocationQueryRaw) {
  void router.replace({ query: { ...route.query, ...part } })
}

const asked = useQuery(() => ({
  ...questions.comparison(query.value),
  enabled: query.value.runs.length >= 2,
}))
const comparison = computed(() =>
  query.value.runs.length < 2 || asked.error.value ? null : (asked.data.value ?? null),
)
const failure = computed(() => {
  const reason = list.error.value ?? (query.value.runs.length < 2 ? null : asked.error.value)
  return reason ? reasonOf(reason) : null
})
const sides = computed(() => [
  { key: 'stands-out' as const, name: 'What stands out' },
  { key: 'whole' as const, name: 'Whole runs' },
  ...(comparison.value?.versions.length
    ? [{ key: 'versions' as const, name: 'What is different' }]
    : []),
])
watch(comparison, (found) => {
  chosenCell.value = null
  if (side.value === 'versions' && !found?.versions.length) side.value = 'stands-out'
})

function toggle(ref: string) {
  const now = chosen.value
  const next = now.includes(ref) ? now.filter((one) => one !== ref) : [...now, ref]
  const kept = now[baseline.value]
  const at = next.indexOf(kept ?? '')
  change({ runs: next.length ? next.join(',') : undefined, with: at > 0 ? at : undefined })
}

function open(kept: KeptComparison) {
  change({
    runs: kept.runs.join(','),
    with: kept.baseline || undefined,
    by: kept.lineUp,
    show: kept.compared,
  })
}

/** Goes to what a finding speaks of: the cell, with the measure that shows it. */
async function show(one: StandOut) {
  if (!one.step) {
    side.value = 'whole'
    return
  }
  if (one.shows && one.shows !== measure.value) {
    measure.value = one.shows
    await nextTick()
    await new Promise<void>((done) => {
      const stop = watch(comparison, () => (stop(), done()))
    })
  }
  const row = comparison.value?.comparison.table.rows.find(
    (candidate) => candidate.cells[one.run]?.step === one.step,
  )
  if (!row) return
  chosenCell.value = { row: row.label, run: one.run }
  await nextTick()
  document
    .querySelector(`[data-cell='${one.run}/${one.step}']`)
    ?.scrollIntoView({ block: 'nearest' })
}

const told = computed(() => {
  if (!chosenCell.value || !comparison.value) return null
  const { row, run } = chosenCell.value
  const cell = comparison.value.comparison.table.rows.find((one) => one.label === row)?.cells[run]
  return cell?.against?.sentence ?? null
})

function file(kind: string): string {
  const { runs: refs, ...rest } = query.value
  const words = new URLSearchParams({ runs: refs.join(',') })
  for (const [key, value] of Object.entries(rest)) words.set(key, String(value))
  return `/api/comparisons.${kind}?${words}`
}

useTabTitle(() => 'Side by side')
</script>

<template>
  <main class="flex flex-col">
    <header class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-1.5">
      <h1 class="mr-2 text-page">Side by side</h1>
      <p v-if="comparison" class="note min-w-0 flex-1 truncate" :title="comparison.peopleSentence">
        {{ comparison.peopleSentence }}
      </p>
      <span v-else class="flex-1" />
      <RunPicker
        v-if="runs"
        :runs="runs"
        :total="pages!.at(-1)!.total"
        :busy="list.isFetchingNextPage.value"
        :chosen="chosen"
        @toggle="toggle"
        @more="list.fetchNextPage()"
      />
      <KeptMenu :now="comparison ? { ...query, lineUp } : null" @open="open" />
      <template v-if="comparison">
        <a class="button" :href="file('csv')" download>CSV</a>
        <a class="button" :href="file('html')" download>Report</a>
      </template>
    </header>
    <div v-if="failure" class="px-3 pb-2"><Trouble :text="failure" /></div>
    <template v-if="comparison">
      <div class="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-2 text-note">
        <ChoiceBar v-model="measure" label="What the table shows" :choices="MEASURES" />
        <span class="flex items-center gap-2">
          <span class="text-ink2">line up by</span>
          <ChoiceBar v-model="lineUp" label="Line up by" :choices="LINE_UPS" />
        </span>
      </div>
      <div class="flex min-h-0 flex-1 flex-col gap-3 px-3 pb-3">
        <section
          class="panel flex min-h-0 flex-[1.35] flex-col overflow-hidden"
          aria-label="Messages side by side"
        >
          <CompareTable
            class="min-h-0 flex-1"
            :view="comparison"
            :chosen="chosenCell"
            @baseline="change({ with: $event || undefined })"
            @choose="(row, run) => (chosenCell = { row, run })"
            @remove="toggle"
          />
          <p
            v-if="told"
            class="border-t border-line bg-marigold-soft px-3 py-1.5"
            role="status"
            data-told
          >
            {{ told }}
          </p>
        </section>
        <div class="grid min-h-0 flex-1 grid-cols-[1.15fr_1fr] gap-3">
          <section class="panel flex min-h-0 flex-col" aria-label="In words">
            <div class="panel-head">
              <ChoiceBar v-model="side" label="In words" :choices="sides" />
            </div>
            <StandOutList
              v-if="side === 'stands-out'"
              :found="comparison.comparison.standsOut"
              @show="show"
            />
            <WholeTable v-else-if="side === 'whole'" :view="comparison" />
            <div v-else class="min-h-0 flex-1 overflow-y-auto p-3" tabindex="0" role="group">
              <section v-for="version in comparison.versions" :key="version.ref" class="mb-3">
                <h2 class="text-lead">
                  {{ version.name }} against
                  {{ comparison.columns[comparison.comparison.table.baseline]!.name }}
                </h2>
                <DifferenceList :lines="version.lines" />
              </section>
            </div>
          </section>
          <CompareCurves :view="comparison" />
        </div>
      </div>
    </template>
    <NoComparison
      v-else-if="runs"
      :runs="runs"
      :chosen="chosen"
      @toggle="toggle"
      @all="change({ runs: newestOfEachPurpose(runs!).join(',') })"
    />
  </main>
</template>
