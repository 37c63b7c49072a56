<script setup lang="ts">
import type { NewsView } from '@/api/types'
import { fullMoment, shortMoment } from '@/ui/moments'
import { OUTCOMES } from './news'

/** What became of each moment of the rhythm, the latest first. */
defineProps<{ issues: NewsView['issues'] }>()
</script>

<template>
  <p v-if="!issues.length" class="text-ink2">Nothing yet: it has not been turned on.</p>
  <ol v-else class="grid">
    <li
      v-for="one in issues"
      :key="`${one.at} ${one.outcome}`"
      class="grid grid-cols-[104px_72px_minmax(0,1fr)] items-baseline gap-x-3 border-t border-line2 py-2"
    >
      <span class="whitespace-nowrap" :title="fullMoment(one.at)">{{ shortMoment(one.at) }}</span>
      <span
        class="font-semibold"
        :class="one.outcome === 'WAITS' || one.outcome === 'FAILED' ? 'text-clay' : ''"
        >{{ OUTCOMES[one.outcome] }}</span
      >
      <span class="grid gap-0.5">
        <span>
          {{ one.says }}
          <RouterLink
            v-if="one.newsletter !== null"
            class="font-semibold underline"
            :to="{ name: 'newsletter', params: { id: one.newsletter } }"
            >{{ one.outcome === 'WAITS' ? 'Look at it' : 'What came of it' }}</RouterLink
          >
        </span>
        <span v-if="one.titles.length" class="note">{{ one.titles.join(' · ') }}</span>
      </span>
    </li>
  </ol>
</template>
