<script setup lang="ts">
import { computed, ref } from 'vue'
import type { MadeUpPerson, ProofView } from '@/api/types'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { allParts } from './parts'
import MadeUpForm from './MadeUpForm.vue'
import { useManuscript } from './manuscriptStore'
import ProofSheet from './ProofSheet.vue'
import ReaderChoice from './ReaderChoice.vue'
import type { Reader } from './useProof'

/** A message as somebody will see it: at the desk, on a phone, as plain text, in the dark. */
const props = defineProps<{ proof: ProofView | null; trouble: string | null }>()
const emit = defineEmits<{ choose: [part: string]; again: [] }>()
const reader = defineModel<Reader>('reader', { required: true })
const dark = defineModel<boolean>('dark', { required: true })
const store = useManuscript()

type Look = 'desk' | 'phone' | 'plain'
const look = ref<Look>('desk')
const LOOKS = [
  { key: 'desk', name: 'desk' },
  { key: 'phone', name: 'phone' },
  { key: 'plain', name: 'plain text' },
] as const

const chosen = computed(() => {
  const number = props.proof?.parts.indexOf(store.selected ?? '') ?? -1
  return number < 0 ? undefined : number
})
/** The numbers of the parts that are there only for some. */
const passages = computed(() => {
  const inside = allParts(store.email?.parts ?? []).flatMap((part) =>
    part.kind === 'passage' ? allParts([...part.parts, ...part.otherwise]) : [],
  )
  return inside
    .map((part) => props.proof?.parts.indexOf(part.id) ?? -1)
    .filter((number) => number >= 0)
})
const made = computed({
  get: () => (reader.value.kind === 'made' ? reader.value.person : null),
  set: (person) => {
    if (person) reader.value = { kind: 'made', person: person as MadeUpPerson }
  },
})
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="Proof">
    <div class="panel-head">
      <h2>Proof</h2>
      <span class="text-ink2">as</span>
      <ReaderChoice v-model="reader" />
      <label class="ml-auto flex items-center gap-1.5"
        ><input v-model="dark" type="checkbox" /> dark</label
      >
      <ChoiceBar v-model="look" label="How it is looked at" :choices="LOOKS" />
    </div>
    <MadeUpForm v-if="made" v-model="made" :passages="proof?.passages ?? []" />
    <div
      class="min-h-0 flex-1 overflow-y-auto bg-cell px-4 py-3"
      data-scroller
      tabindex="0"
      role="group"
      aria-label="The proof"
    >
      <p v-if="trouble" class="warning mx-auto mb-3 max-w-150" role="alert">
        {{ trouble }}
        <button type="button" class="button button-small ml-2" @click="emit('again')">
          Try again
        </button>
      </p>
      <div
        v-if="proof"
        class="mx-auto grid grid-cols-1 justify-items-center gap-2.5"
        :style="{ maxWidth: look === 'phone' ? '377px' : '660px' }"
      >
        <div
          class="w-full rounded-lg border border-line bg-white px-3 py-2"
          aria-label="In the inbox"
          role="group"
        >
          <p class="flex justify-between">
            <b>{{ proof.from || 'nobody yet' }}</b><span class="figure note">09:00</span>
          </p>
          <p class="truncate">
            <b>{{ proof.subject || 'no subject yet' }}</b>
            <span class="ml-2 text-ink2">{{ proof.preview }}</span>
          </p>
        </div>
        <ProofSheet
          v-if="look !== 'plain'"
          :html="proof.html"
          :width="look === 'phone' ? 377 : 660"
          title="The message as they see it"
          :chosen="chosen"
          :passages="passages"
          @choose="(number) => emit('choose', proof!.parts[number]!)"
        />
        <pre
          v-else
          class="w-full rounded-lg border border-line bg-white p-4 font-mono text-note whitespace-pre-wrap"
          >{{ proof.plain }}</pre>
        <ul v-if="proof.passages.length" class="w-full text-note text-ink2">
          <li v-for="one in proof.passages" :key="one.part">
            <button
              type="button"
              class="text-left underline decoration-dotted"
              @click="emit('choose', one.part)"
            >
              {{ one.holds ? 'Is there' : 'Is not there' }}
            </button>
            for {{ proof.called || 'them' }}: {{ one.why }}.
          </li>
        </ul>
      </div>
    </div>
  </section>
</template>
