<script setup lang="ts">
import type { ToldTeam } from '@/api/types'
import { shortMoment } from '@/ui/moments'

/** What journeys and forms told the team. */
defineProps<{ notices: ToldTeam[] }>()
</script>

<template>
  <ol v-if="notices.length" class="min-h-0 flex-1 overflow-y-auto px-3 py-1" tabindex="0">
    <li v-for="(one, i) in notices" :key="i" class="border-b border-line2 py-2">
      <span class="flex justify-between gap-2"
        ><b class="truncate">{{ one.to }}</b
        ><span class="figure note">{{ shortMoment(one.at) }}</span></span
      >
      <template v-if="one.hook === null">{{ one.words || 'Told over the web.' }}</template>
      <details v-else>
        <summary>One event, by POST. Here it is only shown.</summary>
        <pre
          class="figure mt-1 overflow-x-auto rounded-md bg-sunk p-2 text-fine"
          tabindex="0"
          role="group"
          aria-label="What it gets"
          >{{ one.hook }}</pre>
      </details>
      <span class="note block">about {{ one.who }}, by {{ one.by }}</span>
    </li>
  </ol>
  <p v-else class="p-6 text-center text-ink2">Nothing has told the team anything yet.</p>
</template>
