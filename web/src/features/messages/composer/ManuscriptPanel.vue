<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced, useLocalStorage } from '@vueuse/core'
import { computed, nextTick, onMounted, provide, ref, useTemplateRef } from 'vue'
import { questions } from '@/api/queries'
import type { LineDocument, PartDocument } from '@/api/types'
import DropMenu, { type MenuChoice } from '@/ui/DropMenu.vue'
import { fileSize } from '@/ui/figures'
import LetterExtras from './LetterExtras.vue'
import LineEditor from './LineEditor.vue'
import { useManuscript } from './manuscriptStore'
import { allParts, findPart, freshIds, inserted, replaced } from './parts'
import PartRows from './PartRows.vue'
import { NEW_PARTS, newPart } from './newParts'
import TypedPart from './TypedPart.vue'
import { ROWS, useRows } from './useRows'
import { KINDS, plainWords } from './words'

/** An email as it is written: head, parts, footer, and the line in which the next part is typed. */
defineProps<{ bytes: number | null }>()
const store = useManuscript()
const typed = useTemplateRef<InstanceType<typeof TypedPart>>('typed')
const starters = useQuery(questions.messageStarters())
const withReasons = useLocalStorage('open-trellis.message-reasons', true)
const starter = computed(() => starters.data.value?.find((one) => one.id === store.sheet?.starter))
const reasons = computed(() => (withReasons.value ? (starter.value?.reasons ?? {}) : {}))
const rows = useRows(() => void nextTick(() => typed.value?.focus()), reasons)
provide(ROWS, rows)

const account = useQuery(questions.account())
const senders = computed(() => account.data.value?.account.senders ?? [])
const parts = computed(() => store.email?.parts ?? [])
const asked = refDebounced(
  computed(() => store.email),
  150,
)
const sentences = useQuery(
  computed(() => ({
    ...questions.partSentences(asked.value!),
    enabled: asked.value !== null,
  })),
)
const says = computed(
  () => new Map((sentences.data.value ?? []).map((one) => [one.part, one.says])),
)
const words = computed(
  () =>
    allParts(parts.value)
      .flatMap((part) => {
        if (part.kind === 'prose') {
          return part.blocks.flatMap((block) =>
            block.kind === 'items' ? block.items.map((item) => item.words) : [block.words],
          )
        }
        return part.kind === 'button' ? [part.words.words] : []
      })
      .map((some) => plainWords({ words: some }))
      .join(' ')
      .split(/\s+/)
      .filter(Boolean).length,
)
const nextId = ref('p1')
const below = computed(() => {
  const into = rows.into.value
  const part = findPart(parts.value, into?.inside ?? store.selected)
  if (!part) return parts.value.length ? 'At the end' : 'At the beginning'
  if (!into) return `Below the ${KINDS[part.kind]}`
  if (part.kind === 'columns') return `In column ${into.list + 1}`
  return into.list === 0 ? 'In the passage' : 'In what is there otherwise'
})

const kinds: MenuChoice[][] = NEW_PARTS.map((group) =>
  group.map(({ id, name, note }) => ({ id, name, note })),
)

/** A paragraph goes on the text that it is written below. */
function add(part: PartDocument) {
  const above = rows.into.value ? null : store.part
  if (part.kind === 'prose' && above?.kind === 'prose') {
    const blocks = [...above.blocks]
    const [more] = part.blocks
    const last = blocks.at(-1)
    if (more?.kind === 'items' && last?.kind === 'items' && more.numbered === last.numbered) {
      blocks[blocks.length - 1] = { ...last, items: [...last.items, ...more.items] }
    } else if (more) blocks.push(more)
    store.editParts('wrote', (list) => replaced(list, { ...above, blocks }))
    return
  }
  const place = rows.place.value
  store.editParts(`added ${KINDS[part.kind]}`, (list) => inserted(list, [part], place))
  rows.into.value = null
  store.selected = part.id
  rows.follows.value = false
  if (part.kind === 'passage') rows.into.value = { inside: part.id, list: 0 }
  if (part.kind === 'columns') rows.into.value = { inside: part.id, list: 0 }
}

function addChosen(id: string) {
  const part = newPart(id, freshIds(parts.value)())
  add(part)
  rows.edit(part.id)
}

function onFocus() {
  rows.follows.value = false
  nextId.value = freshIds(parts.value)()
}

function made(part: PartDocument) {
  add({ ...part, id: freshIds(parts.value)() })
}

function line(what: 'subject' | 'preview', value: LineDocument) {
  store.editEmail(
    `wrote the ${what === 'subject' ? 'subject' : 'preview text'}`,
    (email) => ({ ...email, [what]: value }),
    what,
  )
}

function send(event: Event) {
  const address = (event.target as HTMLSelectElement).value || null
  store.editEmail('changed the sender', (email) => ({ ...email, sender: address }))
}

const length = (one: LineDocument) => plainWords(one).length

/* Who begins a message writes at once. */
onMounted(() => parts.value.length === 0 && typed.value?.focus())

defineExpose({ choose: rows.choose })
</script>

<template>
  <section
    v-if="store.email"
    class="panel flex min-h-0 flex-col overflow-hidden"
    aria-label="Manuscript"
  >
    <div class="panel-head">
      <h2>Manuscript</h2>
      <span class="note"
        >{{ allParts(parts).length }} parts · {{ words }} words<template v-if="bytes !== null">
          · {{ fileSize(bytes) }}</template
        ></span
      >
      <label v-if="starter" class="ml-auto flex items-center gap-1.5 text-note"
        ><input v-model="withReasons" type="checkbox" /> reasons</label
      >
      <RouterLink
        class="button button-small"
        :class="{ 'ml-auto': !starter }"
        to="/messages/house-style"
        >House style</RouterLink
      >
    </div>
    <div class="min-h-0 flex-1 overflow-y-auto" tabindex="-1">
      <div class="head-row">
        <label class="head-name" for="from">From</label>
        <select
          id="from"
          class="field w-auto! min-w-0 flex-1"
          :value="store.email.sender ?? ''"
          @change="send"
        >
          <option value="">
            {{
              senders[0]
                ? `${senders[0].name} · ${senders[0].address}`
                : 'nobody yet: say it on the page Account'
            }}
          </option>
          <option v-for="one in senders.slice(1)" :key="one.address" :value="one.address">
            {{ one.name }} · {{ one.address }}
          </option>
        </select>
      </div>
      <div class="head-row">
        <span class="head-name">Subject</span>
        <LineEditor
          class="min-w-0 flex-1"
          :line="store.email.subject"
          label="Subject"
          bold
          @change="(value) => line('subject', value)"
          @enter="typed?.focus()"
        />
        <span class="figure note" :class="{ 'text-clay!': length(store.email.subject) > 40 }">{{
          length(store.email.subject)
        }}</span>
      </div>
      <div class="head-row">
        <span class="head-name">Preview text</span>
        <LineEditor
          class="min-w-0 flex-1"
          :line="store.email.preview"
          label="Preview text"
          @change="(value) => line('preview', value)"
          @enter="typed?.focus()"
        />
        <span class="figure note" :class="{ 'text-clay!': length(store.email.preview) > 90 }">{{
          length(store.email.preview)
        }}</span>
      </div>
      <LetterExtras />
      <div role="group" aria-label="Parts">
        <PartRows :parts="parts" :depth="0" :says="says" />
      </div>
      <p v-if="parts.length === 0" class="px-3 py-6 text-center text-ink2">
        Nothing written yet. Write on below: a sentence is a paragraph, “button …” a button.
      </p>
      <div class="grid grid-cols-[92px_1fr] gap-x-2 bg-sunk px-3 py-2 text-ink2">
        <span class="text-note">footer</span>
        <span
          >address · why you get this · your choices · unsubscribe, from the house style, in every
          email</span
        >
      </div>
    </div>
    <div class="border-t border-line px-3 pt-1.5 pb-2.5" @focusin="onFocus">
      <div class="mb-1 flex items-center gap-2">
        <span class="note">{{ below }}</span>
        <span v-if="rows.trouble.value" class="text-note text-clay" role="alert">{{
          rows.trouble.value
        }}</span>
        <DropMenu class="ml-auto" small label="Choose a part" :groups="kinds" @choose="addChosen"
          >Choose</DropMenu
        >
      </div>
      <TypedPart
        :id="nextId"
        ref="typed"
        label="Next part"
        placeholder="write on, or: button …, picture …, two columns, passage if …"
        @made="made"
        @leave="store.selected && rows.choose(store.selected)"
      />
    </div>
  </section>
</template>
