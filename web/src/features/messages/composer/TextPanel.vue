<script setup lang="ts">
import { computed } from 'vue'
import type { LineDocument, ProofView, TextDocument } from '@/api/types'
import LineEditor from './LineEditor.vue'
import { useManuscript } from './manuscriptStore'

/** A text message as it is written. */
defineProps<{ proof: ProofView | null }>()
const store = useManuscript()
const segments = (n: number) => (n === 1 ? '1 segment' : `${n} segments`)
const text = computed(() => store.draft!.manuscript as TextDocument)

function write(words: LineDocument) {
  store.edit('wrote', (one) => ({ ...one, manuscript: { ...text.value, words } }), 'words')
}

function give(voucher: boolean) {
  store.edit('changed the text', (one) => ({ ...one, manuscript: { ...text.value, voucher } }))
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="Manuscript">
    <div class="panel-head">
      <h2>Manuscript</h2>
      <span v-if="proof?.text" class="note"
        >{{ proof.plain.length }} characters in {{ segments(proof.text.segments) }} for
        {{ proof.called || 'them' }}</span
      >
    </div>
    <div class="grid gap-3 p-3">
      <div>
        <span class="label">Words</span>
        <LineEditor
          class="rounded-md border border-line bg-white p-1.5"
          :line="text.words"
          label="Words"
          @change="write"
        />
      </div>
      <label class="flex items-center gap-2"
        ><input
          type="checkbox"
          :checked="text.voucher"
          @change="give(($event.target as HTMLInputElement).checked)"
        />
        it gives something off</label
      >
      <dl v-if="proof?.text" class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1 text-note">
        <dt class="text-ink2">Longest</dt>
        <dd>
          {{ segments(proof.text.most)
          }}<template v-if="proof.text.price"> for {{ proof.text.price }}</template> each, with the
          longest values that anybody has
        </dd>
        <dt class="text-ink2">Comes from</dt>
        <dd>{{ proof.from || 'nobody yet' }}</dd>
        <dt class="text-ink2">At its end</dt>
        <dd>
          {{ proof.text.stop || 'nothing' }}
          <RouterLink class="ml-2 underline" :to="{ name: 'account' }">Change</RouterLink>
        </dd>
      </dl>
    </div>
  </section>
</template>
