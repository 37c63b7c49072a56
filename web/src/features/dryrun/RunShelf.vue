<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { DryRunSummary } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { clock, count, day, percent } from '@/ui/figures'
import DraftInput from '@/ui/DraftInput.vue'
import MoreButton from '@/ui/MoreButton.vue'
import { whoseRun } from './runWords'

/** Earlier runs of a journey: to open, name, pin and delete. */
const props = defineProps<{ journey: number; shown: number | null }>()
const emit = defineEmits<{ open: [run: number]; changed: []; deleted: [run: number] }>()

const opened = ref(false)
/** The run of which is asked whether it is to go for good. */
const going = ref<number | null>(null)
const list = useInfiniteQuery(() => ({ ...questions.runs(props.journey), enabled: opened.value }))
const pages = computed(() => list.data.value?.pages ?? [])
const runs = computed(() => pages.value.flatMap((page) => page.runs))
const { failure, attempt } = useAttempt(list.error)

function load() {
  opened.value = true
  void outdated('runs', 'list')
}

const change = (work: () => Promise<unknown>) =>
  attempt(async () => {
    await work()
    await outdated('runs', 'list')
  })

async function label(run: DryRunSummary, to: { name?: string | null; pinned?: boolean }) {
  const body = { name: run.name, pinned: run.pinned, ...to }
  const params = { path: { id: run.id } }
  const done = await change(() => answerOf(api.PUT('/api/dry-runs/{id}/label', { params, body })))
  if (done) emit('changed')
}

async function remove(run: DryRunSummary) {
  going.value = null
  const params = { path: { id: run.id } }
  const done = await change(() => answerOf(api.DELETE('/api/dry-runs/{id}', { params })))
  if (done) emit('deleted', run.id)
}
</script>

<template>
  <Popover class="relative">
    <PopoverButton class="button" @click="load">Runs</PopoverButton>
    <PopoverPanel
      v-slot="{ close }"
      class="panel absolute right-0 z-20 mt-1 max-h-[70vh] w-150 overflow-y-auto py-1"
    >
      <p v-if="failure" class="p-3 text-clay">{{ failure }}</p>
      <p v-else-if="pages.length && runs.length === 0" class="p-3 text-ink2">No dry runs yet.</p>
      <ul>
        <li
          v-for="run in runs"
          :key="run.id"
          class="grid grid-cols-[1fr_60px_auto] items-center gap-2 border-b border-line2 px-3 py-1.5 last:border-b-0"
          :class="{ 'bg-marigold-soft': run.id === shown }"
        >
          <span class="min-w-0">
            <DraftInput
              class="field min-h-6! border-transparent! bg-transparent! px-1! font-semibold"
              :value="run.name ?? ''"
              :placeholder="`Run ${run.id}: give it a name`"
              :aria-label="`Name of run ${run.id}`"
              maxlength="80"
              @change="label(run, { name: ($event.target as HTMLInputElement).value })"
            />
            <span class="note block px-1">
              v{{ run.journeyVersion }} · {{ count(run.people) }} people ·
              {{ whoseRun(run, 'own cohort') }} · {{ day(run.madeAt) }}
              {{ clock(run.madeAt) }}
              <template v-if="run.journeys > 1"> · {{ run.journeys }} journeys together</template>
            </span>
          </span>
          <span class="figure text-right">
            {{ run.goal ? percent(run.goal.value, 1) : 'no goal' }}
          </span>
          <span v-if="going === run.id" class="flex items-center gap-1" role="alert">
            <span class="whitespace-nowrap">For good?</span>
            <button
              type="button"
              class="button button-small"
              :aria-label="`Delete run ${run.id} for good`"
              @click="remove(run)"
            >
              Delete
            </button>
            <button type="button" class="button button-small" @click="going = null">Keep it</button>
          </span>
          <span v-else class="flex gap-1">
            <button
              type="button"
              class="button button-small"
              @click="(emit('open', run.id), close())"
            >
              Open
            </button>
            <button
              type="button"
              class="button button-small"
              :aria-pressed="run.pinned"
              @click="label(run, { pinned: !run.pinned })"
            >
              {{ run.pinned ? 'Unpin' : 'Pin' }}
            </button>
            <button
              type="button"
              class="button button-small"
              :aria-label="`Delete run ${run.id}`"
              @click="going = run.id"
            >
              Delete
            </button>
          </span>
        </li>
      </ul>
      <MoreButton
        v-if="list.hasNextPage.value"
        :shown="runs.length"
        :total="pages.at(-1)!.total"
        :busy="list.isFetchingNextPage.value"
        @more="list.fetchNextPage()"
      />
    </PopoverPanel>
  </Popover>
</template>
