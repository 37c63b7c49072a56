<script setup lang="ts">
import type { NewsLook } from '@/api/types'
import PagePicture from '@/features/entrances/PagePicture.vue'
import { fullMoment, shortMoment } from '@/ui/moments'

/** What the next issue would hold if it went now. */
defineProps<{ look: NewsLook; on: boolean; skips: boolean }>()
</script>

<template>
  <section class="panel grid gap-2 p-4" aria-labelledby="next-issue">
    <h2 id="next-issue" class="flex items-baseline gap-2 font-display text-empty font-bold">
      The next issue
      <span class="note font-normal">
        {{ fullMoment(look.at) }}{{ on ? '' : ', if it is turned on' }}
      </span>
    </h2>
    <p v-if="skips" class="warning">It is skipped: what is new waits for the one after it.</p>
    <p v-if="look.fault" class="warning" role="alert">{{ look.fault }}</p>
    <template v-else>
      <p v-for="line in look.says" :key="line" class="text-ink2">{{ line }}</p>
      <ol v-if="look.entries.length" class="grid gap-1" aria-label="What is new">
        <li v-for="one in look.entries" :key="one.title + one.address">
          <b class="font-semibold">{{ one.title }}</b>
          <span v-if="one.postedAt !== null" class="note ml-2">{{
            shortMoment(one.postedAt)
          }}</span>
        </li>
      </ol>
    </template>
  </section>
  <PagePicture
    v-if="look.html"
    class="min-h-60 flex-1"
    name="As it would be read"
    :html="look.html"
    title="The next issue"
  />
</template>
