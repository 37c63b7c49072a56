<script setup lang="ts">
import type { TryoutMail } from '@/api/types'
import { shortMoment } from '@/ui/moments'
import ProofSheet from '@/features/messages/composer/ProofSheet.vue'
import Trouble from '@/ui/Trouble.vue'

/** A message as it reached whoever tries the journey, with what they can do with it. */
defineProps<{ mail: TryoutMail; busy: boolean }>()
const emit = defineEmits<{ open: []; click: [link: string]; unsubscribe: []; complain: [] }>()
</script>

<template>
  <article class="flex min-h-0 flex-1 flex-col" :aria-label="mail.name">
    <header class="border-b border-line px-3 py-2">
      <p class="flex justify-between gap-2">
        <b class="truncate">{{ mail.text ? mail.name : mail.subject }}</b>
        <span class="figure note shrink-0">{{ shortMoment(mail.at) }}</span>
      </p>
      <p class="note truncate">
        from {{ mail.from || 'nobody'
        }}<template v-if="mail.preview"> · {{ mail.preview }}</template>
      </p>
      <div class="mt-1.5 flex flex-wrap gap-1.5">
        <button
          v-if="!mail.text"
          type="button"
          class="button button-small"
          :class="{ 'button-main': !mail.opened }"
          :disabled="busy || mail.opened"
          @click="emit('open')"
        >
          {{ mail.opened ? 'Opened' : 'Open it' }}
        </button>
        <button
          v-for="link in mail.links"
          :key="link"
          type="button"
          class="button button-small"
          :disabled="busy"
          @click="emit('click', link)"
        >
          {{ mail.clicked.includes(link) ? 'Clicked' : 'Click' }} “{{ link }}”
        </button>
        <button
          v-if="!mail.text"
          type="button"
          class="button button-small"
          :disabled="busy"
          @click="emit('unsubscribe')"
        >
          Unsubscribe
        </button>
        <button
          v-if="!mail.text"
          type="button"
          class="button button-small"
          :disabled="busy"
          @click="emit('complain')"
        >
          Complain
        </button>
      </div>
    </header>
    <Trouble v-if="mail.fault" class="m-3" :text="`It could not be written: ${mail.fault}.`" />
    <p v-else-if="mail.text" class="m-3 max-w-72 rounded-xl bg-sunk px-3 py-2 whitespace-pre-wrap">
      {{ mail.plain }}
    </p>
    <div
      v-else
      class="flex min-h-0 flex-1 justify-center overflow-y-auto bg-cell p-2"
      tabindex="0"
      role="group"
      aria-label="The mail"
    >
      <ProofSheet :html="mail.html" :width="480" title="The mail" />
    </div>
  </article>
</template>
