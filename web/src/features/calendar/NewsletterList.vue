<script setup lang="ts">
import type { NewsletterLine } from '@/api/types'
import { PHASES } from '@/features/newsletters/newsletters'
import { count } from '@/ui/figures'
import { shortMoment } from '@/ui/moments'

/** The newsletters there are, those that go next first. */
defineProps<{ newsletters: NewsletterLine[] }>()

function how(one: NewsletterLine): string {
  const when = one.firstAt ? `, ${shortMoment(one.firstAt)}` : ''
  const people = one.phase === 'GONE' ? one.sent : one.people
  return `${PHASES[one.phase]}${when} · ${count(people)} people`
}
</script>

<template>
  <section
    class="panel flex min-h-0 flex-col gap-2 overflow-y-auto p-3"
    tabindex="0"
    aria-labelledby="newsletters"
  >
    <h2 id="newsletters"><b>Newsletters</b></h2>
    <p v-if="!newsletters.length" class="text-ink2">
      There is none yet. Give one a name: then say who gets which message, and when.
    </p>
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
