<script setup lang="ts">
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import type { BlockDocument, EmailDocument, StyleChange } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import DraftInput from '@/ui/DraftInput.vue'
import Trouble from '@/ui/Trouble.vue'
import { useManuscript } from './manuscriptStore'
import ProseEditor from './ProseEditor.vue'

/** What rarely differs: labels, the looks of this one message, plain text by hand. */
const store = useManuscript()
const open = ref(false)
const { failure, busy, attempt } = useAttempt()

const COLOURS = [
  { key: 'ground', name: 'ground' },
  { key: 'paper', name: 'paper' },
  { key: 'ink', name: 'text' },
  { key: 'link', name: 'links' },
  { key: 'button', name: 'buttons' },
  { key: 'buttonInk', name: 'words on buttons' },
] as const
const style = computed(() => store.email!.style)
/** Where this message looks other than the house does. */
const different = computed(() => Object.values(style.value).filter((one) => one !== null).length)

const value = (event: Event) => (event.target as HTMLInputElement).value

function label(event: Event) {
  const labels = [
    ...new Set(
      value(event)
        .split(',')
        .map((one) => one.trim())
        .filter(Boolean),
    ),
  ]
  store.edit('changed the labels', (one) => ({ ...one, labels }))
}

function look(some: Partial<StyleChange>) {
  store.editEmail('changed its looks', (email) => ({
    ...email,
    style: { ...email.style, ...some },
  }))
}

function asTheHouse() {
  const none = Object.fromEntries(Object.keys(style.value).map((key) => [key, null]))
  look(none as Partial<StyleChange>)
}

/** The words of the parts, with their fields and links, to go on with. */
async function byHand() {
  await attempt(async () => {
    const begun = await answerOf(
      api.POST('/api/messages/plain-text', { body: { manuscript: store.email! } }),
    )
    const { plain } = begun.manuscript as EmailDocument
    store.editEmail('wrote the plain text', (email) => ({ ...email, plain }))
  })
}

function write(blocks: BlockDocument[]) {
  store.editEmail(
    'wrote the plain text',
    (email) => ({ ...email, plain: email.plain && { ...email.plain, blocks } }),
    'plain',
  )
}

function fromTheParts() {
  store.editEmail('made the plain text from the parts', (email) => ({ ...email, plain: null }))
}
</script>

<template>
  <details
    class="border-b border-line2"
    @toggle="open = ($event.target as HTMLDetailsElement).open"
  >
    <summary class="px-3 py-1.5 text-note text-ink2">
      Labels, looks, plain text
      <span v-if="store.draft?.labels.length" class="chip ml-1">{{
        store.draft.labels.join(', ')
      }}</span>
      <span v-if="different" class="chip ml-1">other than the house in {{ different }}</span>
      <span v-if="store.email!.plain !== null" class="chip ml-1">plain text by hand</span>
    </summary>
    <div class="grid gap-3 px-3 pt-1 pb-3">
      <label
        ><span class="label">Labels, with commas between</span>
        <DraftInput
          class="field"
          maxlength="400"
          :value="store.draft?.labels.join(', ')"
          @change="label"
      /></label>
      <div>
        <span class="label">Other than the house style in this message</span>
        <div class="flex flex-wrap items-center gap-x-4 gap-y-1.5">
          <label v-for="one in COLOURS" :key="one.key" class="flex items-center gap-1.5"
            ><input
              type="checkbox"
              :checked="style[one.key] !== null"
              @change="
                look({
                  [one.key]: ($event.target as HTMLInputElement).checked ? '#143D30' : null,
                })
              " />
            {{ one.name }}
            <input
              v-if="style[one.key] !== null"
              type="color"
              class="h-6 w-9 rounded-sm border border-line"
              :aria-label="`${one.name} in this message`"
              :value="style[one.key]"
              @change="look({ [one.key]: value($event).toUpperCase() })"
          /></label>
          <button v-if="different" type="button" class="button button-small" @click="asTheHouse">
            As the house
          </button>
        </div>
      </div>
      <div>
        <span class="label">Plain text</span>
        <template v-if="store.email!.plain === null">
          <span class="note">made from the parts, each time it is sent</span>
          <button type="button" class="button button-small ml-2" :disabled="busy" @click="byHand">
            Write it by hand
          </button>
          <Trouble v-if="failure" class="mt-1" :text="failure" />
        </template>
        <template v-else>
          <p class="note mb-1">
            The same for everybody, but for their fields: what stands in passages is not in it.
          </p>
          <ProseEditor
            v-if="open"
            :blocks="store.email!.plain.blocks"
            label="Plain text"
            @change="write"
          />
          <button type="button" class="button button-small mt-1" @click="fromTheParts">
            Make it from the parts again
          </button>
        </template>
      </div>
    </div>
  </details>
</template>
