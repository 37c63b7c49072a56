<script setup lang="ts">
import { computed } from 'vue'
import type { ApiProblem } from '@/api/client'
import type { Row, RunSheet } from '@/api/types'
import { clock } from '@/ui/figures'
import { useJourneyStore } from './journeyStore'

const props = defineProps<{ problem: ApiProblem }>()
const store = useJourneyStore()

const text = (row: Row) => row.sentence.spans.map((span) => span.text).join('')
const lines = (sheet: RunSheet | undefined) =>
  sheet ? [opening(sheet), ...sheet.rows.map((row) => '  '.repeat(row.depth) + text(row))] : []
const opening = (sheet: RunSheet) => sheet.opening.spans.map((span) => span.text).join('')

const theirs = computed(() => lines(props.problem.current?.sheet))
const mine = computed(() => lines(props.problem.yours?.sheet))

const sides = computed(() => [
  {
    name: 'Theirs',
    about: `version ${props.problem.current?.version}, saved ${clock(props.problem.current?.savedAt ?? '')}`,
    lines: theirs.value,
    other: new Set(mine.value),
    action: 'Keep theirs',
    keep: store.keepTheirs,
  },
  {
    name: 'Yours',
    about: 'on this screen, not saved yet',
    lines: mine.value,
    other: new Set(theirs.value),
    action: 'Keep mine, over theirs',
    keep: store.keepMine,
  },
])
</script>

<template>
  <section class="panel mx-3 mb-2 border-clay!" role="alert" aria-labelledby="conflict">
    <div class="panel-head bg-clay-soft">
      <h2 id="conflict" class="text-clay">Two versions of this journey</h2>
      <span>{{ problem.detail }} Either way, undo brings the other back.</span>
    </div>
    <div
      class="grid max-h-72 grid-cols-2 overflow-auto"
      tabindex="0"
      role="group"
      aria-label="Both versions"
    >
      <div v-for="side in sides" :key="side.name" class="border-r border-line2 p-3 last:border-0">
        <div class="mb-1.5 flex items-center gap-2">
          <b>{{ side.name }}</b><span class="note">{{ side.about }}</span>
          <button type="button" class="button button-small ml-auto" @click="side.keep">
            {{ side.action }}
          </button>
        </div>
        <ol>
          <li
            v-for="(line, i) in side.lines"
            :key="i"
            class="whitespace-pre-wrap"
            :class="{ 'bg-marigold-soft font-semibold': !side.other.has(line) }"
          >
            {{ line }}
          </li>
        </ol>
      </div>
    </div>
  </section>
</template>
