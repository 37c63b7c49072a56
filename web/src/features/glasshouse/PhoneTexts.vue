<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { questions } from '@/api/queries'
import { shortMoment } from '@/ui/moments'

/** Texts as they came to phones. */
const { data } = useQuery(questions.phone())
</script>

<template>
  <ol v-if="data?.length" class="min-h-0 flex-1 overflow-y-auto px-3 py-1" tabindex="0">
    <li v-for="one in data" :key="one.id" class="border-b border-line2 py-2">
      <span class="flex justify-between gap-2"
        ><b>{{ one.sender }}</b
        ><span class="figure note">{{ shortMoment(one.at) }}</span></span
      >
      <span class="whitespace-pre-wrap">{{ one.words }}</span>
      <span class="note block"
        >to {{ one.phone }} · {{ one.segments }} segment{{ one.segments === 1 ? '' : 's' }}</span
      >
    </li>
  </ol>
  <p v-else class="p-6 text-center text-ink2">No text has come to a phone yet.</p>
</template>
