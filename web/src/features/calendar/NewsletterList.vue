<script setup lang="ts">
import type { NewsletterLine, NewsLine } from '@/api/types'
import { PHASES } from '@/features/newsletters/newsletters'
import { count } from '@/ui/figures'
import { shortMoment } from '@/ui/moments'

/** The newsletters there are, those that go next first, and the news that goes by itself. */
defineProps<{ newsletters: NewsletterLine[]; news: NewsLine[]; busy: boolean }>()
const emit = defineEmits<{ news: [] }>()

function how(one: NewsletterLine): string {
  const when = one.firstAt ? `, ${shortMoment(one.firstAt)}` : ''
  const people = one.phase === 'GONE' ? one.sent : one.people
  return `${PHASES[one.phase]}${when} · ${count(people)} people`
}

function rhythm(one: NewsLine): string {
  if (one.nextAt === null) return `${one.rhythm} · off`
  return `${one.rhythm} · ${one.skipsNext ? 'skips' : 'next'} ${shortMoment(one.nextAt)}`
}
</script>

<template>
  <section
    class="panel flex min-h-0 flex-col gap-2 overflow-y-auto p-3"
    tabindex="0"
    aria-labelledby="newsletters"
  >
    <div class="flex items-center">
      <h2 id="newsletters"><b>Newsletters</b></h2>
      <button
        type="button"
        class="button button-small ml-auto"
        :disabled="busy"
        @click="emit('news')"
      >
        News on a rhythm
      </button>
    </div>
    <p v-if="!newsletters.length && !news.length" class="text-ink2">
      There is none yet. Give one a name: then say who gets which message, and when.
    </p>
    <ul v-if="news.length" class="grid gap-1" aria-label="News on a rhythm">
      <li v-for="one in news" :key="one.id" class="flex items-baseline gap-2" :title="one.last">
        <RouterLink
          class="min-w-0 truncate font-semibold hover:underline"
          :to="{ name: 'news', params: { id: one.id } }"
          >{{ one.name }}</RouterLink
        >
        <span class="note shrink-0">{{ rhythm(one) }}</span>
      </li>
    </ul>
    <ul class="grid gap-1">
      <li v-for="one in newsletters" :key="one.id" class="flex items-baseline gap-2">
        <RouterLink
          class="min-w-0 truncate font-semibold hover:underline"
          :to="{ name: 'newsletter', params: { id: one.id } }"
          >{{ one.name }}</RouterLink
        >
        <span class="note shrink-0">{{ how(one) }}</span>
      </li>
    </ul>
  </section>
</template>
