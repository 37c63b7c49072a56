<script setup lang="ts">
import type { LoggedLine } from '@/api/types'
import { shortMoment } from '@/ui/moments'

/** What happened to people in journeys, the newest first. */
defineProps<{ lines: LoggedLine[]; withNames: boolean }>()
</script>

<template>
  <ol class="px-3 pb-2">
    <li
      v-for="(one, i) in lines"
      :key="i"
      class="grid grid-cols-[104px_1fr] gap-2 border-b border-line2 py-1.5 last:border-0"
    >
      <span class="figure text-note text-ink2">{{ shortMoment(one.at) }}</span>
      <span class="min-w-0">
        <RouterLink
          v-if="withNames"
          class="font-semibold hover:underline"
          :to="{ name: 'people', query: { person: one.person } }"
          >{{ one.who }}</RouterLink
        >
        {{ one.sentence }}
        <span v-if="one.journeyName" class="text-ink2"> · {{ one.journeyName }}</span>
      </span>
    </li>
  </ol>
</template>
