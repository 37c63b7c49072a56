<script setup lang="ts">
import type { ProofView } from '@/api/types'
import ReaderChoice from './ReaderChoice.vue'
import type { Reader } from './useProof'

/** A text as a phone shows it. */
defineProps<{ proof: ProofView | null; trouble: string | null }>()
const reader = defineModel<Reader>('reader', { required: true })
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="Proof">
    <div class="panel-head">
      <h2>Proof</h2>
      <span class="text-ink2">as</span>
      <ReaderChoice v-model="reader" />
    </div>
    <div
      class="min-h-0 flex-1 overflow-y-auto bg-cell px-4 py-6"
      tabindex="0"
      role="group"
      aria-label="The proof"
    >
      <p v-if="trouble" class="warning" role="alert">{{ trouble }}</p>
      <div
        v-if="proof"
        class="mx-auto min-h-90 w-72 rounded-[26px] border-4 border-ink bg-white px-4 py-8"
      >
        <p class="mb-3 text-center text-note text-ink2">{{ proof.from || 'nobody yet' }}</p>
        <p class="rounded-xl rounded-bl-sm bg-cell px-3 py-2 break-words whitespace-pre-wrap">
          {{ proof.plain || 'nothing written yet' }}
        </p>
      </div>
    </div>
  </section>
</template>
