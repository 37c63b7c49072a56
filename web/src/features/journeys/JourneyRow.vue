<script setup lang="ts">
import { TriangleAlert } from '@lucide/vue'
import { computed } from 'vue'
import type { DryRunSummary, JourneyCard } from '@/api/types'
import TrellisThumbnail from '@/trellis/TrellisThumbnail.vue'
import { count, day, margin, percent } from '@/ui/figures'
import DropMenu from '@/ui/DropMenu.vue'
import Sentence from '@/ui/Sentence.vue'

const props = defineProps<{ journey: JourneyCard; run: DryRunSummary | null }>()

const emit = defineEmits<{ duplicate: []; archive: [] }>()

const MENU = [
  [
    { id: 'duplicate', name: 'Duplicate' },
    { id: 'archive', name: 'Archive' },
  ],
  [
    { id: 'file', name: 'Export as a file' },
    { id: 'sheet', name: 'Export the run sheet as text' },
  ],
]

function choose(id: string) {
  if (id === 'duplicate') emit('duplicate')
  else if (id === 'archive') emit('archive')
  else window.location.assign(`/api/journeys/${props.journey.id}/${id}`)
}

const firstPlace = computed(() => props.journey.firstPlace ?? 'journey')
const findings = computed(() => {
  const n = props.journey.findings
  return n === 1 ? '1 finding' : `${n} findings`
})
</script>

<template>
  <li
    class="grid grid-cols-[190px_minmax(0,1fr)_140px_225px_auto] items-center gap-5 border-b border-line2 px-4 py-3 last:border-0"
  >
    <TrellisThumbnail :body="journey.body" :measures="journey.sketch" class="h-16 w-full" />
    <div class="min-w-0">
      <div class="flex items-center gap-2">
        <RouterLink
          :to="{ name: 'workbench', params: { id: journey.id } }"
          class="font-display text-name font-semibold hover:underline"
        >
          {{ journey.name }}
        </RouterLink>
        <span class="chip">{{ journey.purpose.toLowerCase().replace('_', '-') }}</span>
        <span class="chip">{{ journey.state.toLowerCase() }}</span>
      </div>
      <p class="mt-1 text-ink2">
        <Sentence :phrase="journey.opening" /> ·
        <Sentence :phrase="journey.goal" />
      </p>
    </div>
    <div>
      <RouterLink
        v-if="journey.findings"
        :to="{ name: 'workbench', params: { id: journey.id }, query: { step: firstPlace } }"
        class="inline-flex items-center gap-1.5 text-clay hover:underline"
      >
        <TriangleAlert class="size-4" aria-hidden="true" />
        {{ findings }}{{ journey.worst === 'ERROR' ? ', cannot open' : '' }}
      </RouterLink>
      <span v-else class="text-ink2">no findings</span>
    </div>
    <div>
      <template v-if="run">
        <b class="font-display text-name">{{ run.goal ? percent(run.goal.value, 1) : '–' }}</b>
        <span v-if="run.goal" class="figure ml-1 text-fine text-ink2">{{ margin(run.goal) }}</span>
        {{ run.goal ? 'met the goal' : 'no goal' }}
        <p class="note">
          <template v-if="run.lastReach"
            >{{ percent(run.lastReach.value) }} got the last email ·
          </template>
          <RouterLink
            class="underline hover:no-underline"
            :to="{ name: 'dry-run', params: { id: journey.id }, query: { run: run.id } }"
            >dry run of {{ count(run.people) }}, {{ day(run.madeAt) }}</RouterLink
          >
        </p>
      </template>
      <span v-else class="text-ink2">no dry run yet</span>
    </div>
    <DropMenu :label="`More about ${journey.name}`" :groups="MENU" small @choose="choose"
      >More</DropMenu
    >
  </li>
</template>
