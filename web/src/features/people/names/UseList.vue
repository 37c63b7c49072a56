<script setup lang="ts">
import type { NameUse } from '@/api/types'

/** What uses a name, to go to: journeys, strands, segments, messages, entrances, newsletters, news and rules. */
defineProps<{ uses: NameUse[] }>()

const KINDS: Record<NameUse['what'], { word: string; route: string | null }> = {
  JOURNEY: { word: '', route: 'workbench' },
  STRAND: { word: 'strand', route: 'strand' },
  SEGMENT: { word: 'segment', route: null },
  MESSAGE: { word: 'message', route: 'composer' },
  ENTRANCE: { word: 'entrance', route: 'entrance' },
  NEWSLETTER: { word: 'newsletter', route: 'newsletter' },
  RULE: { word: 'rule', route: 'rules' },
  NEWS: { word: 'news', route: 'news' },
}

/** Where it is looked at; nothing for what stands on this page. */
function place(use: NameUse) {
  const route = KINDS[use.what].route
  if (use.id === null) return use.what === 'ENTRANCE' ? { name: 'choices-page' } : null
  if (route === 'rules') return { name: route }
  return route && { name: route, params: { id: use.id } }
}
</script>

<template>
  <section aria-labelledby="used-by">
    <h3 id="used-by" class="label">Used by</h3>
    <ul v-if="uses.length">
      <li v-for="use in uses" :key="use.what + use.name" class="truncate leading-6">
        <span v-if="KINDS[use.what].word" class="note">{{ KINDS[use.what].word }}&nbsp;</span>
        <RouterLink v-if="place(use)" class="font-semibold hover:underline" :to="place(use)!">{{
          use.name
        }}</RouterLink>
        <template v-else>{{ use.name }}</template>
      </li>
    </ul>
    <p v-else class="note">Nothing uses it.</p>
  </section>
</template>
