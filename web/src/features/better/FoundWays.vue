<script setup lang="ts">
import type { BetterWays, KeptWay } from '@/api/types'
import { count, interval, percent } from '@/ui/figures'

/** The ways that were tried on other people, in words, each with what it brings and costs. */
defineProps<{
  found: BetterWays
  run: string
  kept: Record<number, KeptWay>
  busy: boolean
}>()
const emit = defineEmits<{ take: [row: number]; keep: [row: number] }>()
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto px-3 py-2">
    <ol v-if="found.better.length" class="grid gap-2.5" aria-label="Ways found">
      <li
        v-for="(way, row) in found.better"
        :key="row"
        class="grid grid-cols-[22px_1fr_auto] gap-x-2 border-b border-line2 pb-2.5 last:border-b-0"
      >
        <span
          class="figure mt-0.5 grid size-5 place-content-center rounded-full text-note"
          :class="way.verdict ? 'bg-vine text-white' : 'bg-sunk text-ink2'"
          >{{ row + 1 }}</span
        >
        <div class="min-w-0">
          <ul>
            <li v-for="change in way.changes" :key="change">{{ change }}</li>
          </ul>
          <p v-if="way.verdict" class="mt-0.5 font-semibold text-vine">{{ way.gain }}</p>
          <p v-else class="mt-0.5 text-ink2">{{ way.sentence }}</p>
          <p class="note">
            goal {{ percent(way.figures.goal.value, 1) }} ({{ interval(way.figures.goal, 1) }}) ·
            {{ way.figures.emailsEach?.toFixed(2) ?? 'none yet' }} emails each ·
            {{ percent(way.figures.unsubscribed.value, 2) }} unsubscribed
          </p>
          <details v-if="way.elsewhere.length" class="note">
            <summary class="cursor-pointer" :title="way.sentence">
              still better in {{ way.won }} of {{ way.elsewhere.length }} worlds with other people
            </summary>
            <ul class="mt-1 grid grid-cols-2 gap-x-4">
              <li v-for="one in way.elsewhere" :key="one.words" class="flex gap-2">
                <span
                  class="mt-1.5 size-2 shrink-0 rounded-full"
                  :class="one.difference.points > 0 ? 'bg-leaf' : 'bg-clay-mid'"
                  aria-hidden="true"
                />
                {{ one.words }}{{ one.difference.points > 0 ? '' : ': no better' }}
              </li>
            </ul>
          </details>
          <p v-if="kept[row]" class="note" role="status">
            Kept as version {{ kept[row].version }}, with a dry run of its own.
            <RouterLink
              class="underline"
              :to="{ name: 'side-by-side', query: { runs: `${run},${kept[row].run}` } }"
              >See it side by side</RouterLink
            >
          </p>
        </div>
        <div class="flex flex-col gap-1">
          <button
            type="button"
            class="button button-small"
            :class="{ 'button-main': row === 0 && way.verdict }"
            :disabled="busy"
            @click="emit('take', row)"
          >
            Take it over
          </button>
          <button
            v-if="!kept[row]"
            type="button"
            class="button button-small"
            :disabled="busy"
            @click="emit('keep', row)"
          >
            Keep as a version
          </button>
        </div>
      </li>
    </ol>
    <p v-else class="mt-1">
      Let something else vary, or further than so far; or want something else, such as fewer emails
      at the same goal.
    </p>
    <p class="note mt-2">
      Today's journey on the same {{ count(found.otherPeople) }} other people: goal
      {{ percent(found.today.goal.value, 1) }} ({{ interval(found.today.goal, 1) }}),
      {{ found.today.emailsEach?.toFixed(2) ?? 'none yet' }} emails each,
      {{ percent(found.today.unsubscribed.value, 2) }} unsubscribed.
      <template v-if="found.impossible">
        {{ count(found.impossible) }} combinations were left out: in them a step would ask about an
        email that was not sent above it.
      </template>
    </p>
  </div>
</template>
