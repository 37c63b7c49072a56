<script setup lang="ts">
import type { NameUse } from '@/api/types'

/** What uses a name: journeys to go to, strands, segments, messages and entrances. */
defineProps<{ uses: NameUse[] }>()

const WORDS = {
  JOURNEY: '',
  STRAND: 'strand',
  SEGMENT: 'segment',
  MESSAGE: 'message',
  ENTRANCE: 'entrance',
} as const
</script>

<template>
  <section aria-labelledby="used-by">
    <h3 id="used-by" class="label">Used by</h3>
    <ul v-if="uses.length">
      <li v-for="use in uses" :key="use.what + use.name" class="truncate leading-6">
        <RouterLink
          v-if="use.journey !== null"
          class="font-semibold hover:underline"
          :to="{ name: 'workbench', params: { id: use.journey } }"
          >{{ use.name }}</RouterLink
        >
        <template v-else
          ><span class="note">{{ WORDS[use.what] }}</span> {{ use.name }}</template
        >
      </li>
    </ul>
    <p v-else class="note">Nothing uses it.</p>
  </section>
</template>
