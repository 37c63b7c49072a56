<script setup lang="ts">
import type { MailState, StuckPerson } from '@/api/types'
import { count } from '@/ui/figures'
import { shortMoment } from '@/ui/moments'

/** Messages that are late or were refused, people whose turn fails, and what becomes of them. */
defineProps<{ mail: MailState; stuck: StuckPerson[] }>()

function times(tries: number): string {
  return tries === 1 ? '1 time' : `${count(tries)} times`
}
</script>

<template>
  <section aria-label="Late and refused">
    <p class="px-3 py-1.5 text-ink2">
      {{
        mail.waiting === 0 ? 'Nothing waits to go out.' : `${count(mail.waiting)} wait to go out.`
      }}
      <template v-if="mail.sentAgain > 0">
        {{ count(mail.sentAgain) }} may have gone out twice, since the application ended between the
        server’s yes and the note; the second copy has the same Message-ID.
      </template>
    </p>
    <ul v-if="stuck.length" class="px-3 pb-2">
      <li v-for="one in stuck" :key="one.person" class="border-b border-line2 py-1.5 last:border-0">
        <RouterLink
          class="font-semibold hover:underline"
          :to="{ name: 'people', query: { person: one.person } }"
          >{{ one.who }}</RouterLink
        >
        does not go on.
        <span class="note block text-clay"
          >Their turn failed {{ times(one.tries) }}, by a fault of ours ({{ one.said }}).</span
        >
        <span class="note block"
          >It is tried again at {{ shortMoment(one.tryAt) }}. Nobody else waits for it.</span
        >
      </li>
    </ul>
    <ul v-if="mail.troubles.length" class="px-3 pb-2">
      <li
        v-for="one in mail.troubles"
        :key="one.outbox"
        class="border-b border-line2 py-1.5 last:border-0"
      >
        <span class="flex justify-between gap-2">
          <span
            ><RouterLink
              class="font-semibold hover:underline"
              :to="{ name: 'people', query: { person: one.person } }"
              >{{ one.who }}</RouterLink
            >
            {{ one.message }}</span
          >
          <span class="figure note shrink-0">{{ shortMoment(one.dueAt) }}</span>
        </span>
        <span class="note block text-clay">{{ one.said }}</span>
        <span class="note block">{{
          one.tryAt === null
            ? 'It is not tried again.'
            : `Tried ${times(one.tries)}; again at ${shortMoment(one.tryAt)}.`
        }}</span>
      </li>
    </ul>
    <p v-else-if="!stuck.length" class="px-3 pb-3 text-ink2">
      Nothing is late and nothing was refused.
    </p>
  </section>
</template>
