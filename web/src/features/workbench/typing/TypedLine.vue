<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, nextTick, onMounted, ref, useId, useTemplateRef, watch } from 'vue'
import { reasonOf } from '@/api/client'
import type { Completion, Phrase, UnderstoodView } from '@/api/types'
import Sentence from '@/ui/Sentence.vue'
import { useJourneyStore } from '../journeyStore'
import { useLibrary } from '../useLibrary'
import { follow, nextSlot, slotsOf, textOf, type Slot } from './slots'
import { useReading } from './useReading'
import WaysToGoOn from '@/ui/WaysToGoOn.vue'
import { offered, taken, useActive, type Way } from '@/ui/waysToGoOn'

/**
 * A line to type a sentence into. The server reads it while it is typed: below it stands how it was
 * understood, or what is wrong with it and where.
 */
const props = defineProps<{
  row: string
  /** The sentence whose place the typed one takes; without it, the typed one is added below. */
  replaced?: Phrase
  /** The piece of it to begin with. */
  slotAt?: number
  label: string
  placeholder?: string
}>()
const emit = defineEmits<{ understood: [result: UnderstoodView]; cancel: [] }>()

const store = useJourneyStore()
const { writeMessages, messages: library } = useLibrary()
const { journey, view } = storeToRefs(store)
const list = useId()
const hint = useId()
const field = useTemplateRef<HTMLTextAreaElement>('field')

const begun = props.replaced ? textOf(props.replaced) : ''
const text = ref(begun)
const caret = ref(begun.length)
const slots = ref<Slot[]>(props.replaced ? slotsOf(props.replaced) : [])
const focused = ref(false)
const closed = ref(false)
const busy = ref(false)
const failure = ref<string | null>(null)

const { last, trouble, readSoon, readNow, forget } = useReading(() => ({
  id: view.value!.id,
  journey: journey.value!,
  row: props.row,
  replaces: !!props.replaced,
}))

const reading = computed(() => (last.value?.text === text.value ? last.value.view : null))
const understood = computed(() => reading.value?.understood ?? null)
const refused = computed(() => reading.value?.refused ?? null)
const completions = computed<Completion[]>(() => {
  const found = last.value?.view.completions ?? []
  return found.filter((one) => text.value.slice(one.from, caret.value) !== one.text).slice(0, 8)
})
/** What a key takes: an answer to a question, a correction, or a way to go on. */
const ways = computed<Way[]>(() => {
  if (!refused.value || unfinished.value) return completions.value
  return offered(refused.value.offers, refused.value.asks ? 'answer' : 'correction')
})
const { active, move } = useActive(ways)
/** A sentence that only stops too early, or in the middle of a word, is not wrong yet. */
const unfinished = computed(() => {
  const problem = refused.value
  const end = text.value.trimEnd().length
  if (!problem || problem.asks) return false
  const begun = completions.value.some((one) => one.from === problem.from)
  return problem.from >= end || (problem.to >= end && begun)
})
const asked = computed(() => (refused.value?.asks ? refused.value : null))
const wrong = computed(() =>
  refused.value && !unfinished.value && !asked.value ? refused.value : null,
)
const open = computed(
  () =>
    focused.value &&
    !closed.value &&
    ways.value.length > 0 &&
    (!props.replaced || text.value !== begun),
)

/** What begins to be there with the sentence, in words. */
const brought = computed(() => {
  const found = understood.value
  if (!found) return ''
  const messages = found.messages.map((one) =>
    library.value.some((there) => there.id === one.id)
      ? `gives “${one.name}” the link “${one.links.at(-1)}”`
      : `writes the new ${one.content.kind} “${one.name}”`,
  )
  return [...messages, ...found.shared, ...found.news].join(', ')
})

onMounted(() => {
  if (!props.replaced) return
  const slot = slots.value[props.slotAt ?? 0]
  void choose(slot ?? { from: begun.length, to: begun.length })
})
/* Another place to add at: what was typed stays, and is read anew. */
watch(
  () => props.row,
  () => (text.value ? ask() : forget()),
)

function ask() {
  void readSoon(text.value, caret.value)
}

function onInput(event: Event) {
  const before = text.value
  text.value = (event.target as HTMLTextAreaElement).value
  slots.value = follow(slots.value, before, text.value)
  closed.value = false
  failure.value = null
  onCaret()
  ask()
}

function onCaret() {
  caret.value = field.value?.selectionStart ?? text.value.length
}

function onFocus() {
  focused.value = true
  if (!last.value) ask()
}

function onBlur() {
  focused.value = false
  if (!props.replaced || busy.value) return
  if (text.value === begun) emit('cancel')
  else void finish()
}

async function choose(slot: Slot) {
  await nextTick()
  field.value?.focus()
  field.value?.setSelectionRange(slot.from, slot.to)
  onCaret()
}

async function take(completion: Way) {
  const before = text.value
  const after = taken(completion, before, caret.value)
  text.value = after.text
  slots.value = follow(slots.value, before, text.value)
  await choose({ from: after.caret, to: after.caret })
  ask()
}

/** A sentence in the journey as it is then: what was edited meanwhile stays. */
async function readAndWritten(said: string): Promise<UnderstoodView | null> {
  const before = journey.value
  const read = await readNow(said)
  if (!read?.understood) return null
  await writeMessages(read.understood.messages)
  return journey.value === before ? read.understood : readAndWritten(said)
}

/** Adds what was understood; what it sends and is not there yet is written first. */
async function finish() {
  if (busy.value || text.value.trim() === '') return
  busy.value = true
  failure.value = null
  try {
    const added = await readAndWritten(text.value)
    if (!added) return
    if (!props.replaced) {
      text.value = ''
      caret.value = 0
      forget()
    }
    emit('understood', added)
  } catch (problem) {
    failure.value = reasonOf(problem)
    forget()
  } finally {
    busy.value = false
  }
}

function onKey(event: KeyboardEvent) {
  if (event.isComposing) return
  const handled = keyDone(event)
  if (handled) {
    event.preventDefault()
    event.stopPropagation()
  }
}

function keyDone(event: KeyboardEvent): boolean {
  switch (event.key) {
    case 'ArrowDown':
    case 'ArrowUp':
      return moveActive(event)
    case 'Tab':
      return props.replaced ? toSlot(event.shiftKey) : !event.shiftKey && takeFirst()
    case 'Enter':
      if (open.value && active.value >= 0) void take(ways.value[active.value]!)
      else void finish()
      return true
    case 'Escape':
      if (open.value && !props.replaced) closed.value = true
      else emit('cancel')
      return true
    default:
      return false
  }
}

function moveActive(event: KeyboardEvent): boolean {
  if (event.altKey || event.ctrlKey) return false
  if (!open.value) {
    if (text.value === '' || ways.value.length === 0) return false
    closed.value = false
    return true
  }
  move(event.key === 'ArrowDown' ? 1 : -1)
  return true
}

function takeFirst(): boolean {
  const first = ways.value[Math.max(0, active.value)]
  if (!open.value || !first || text.value === '') return false
  void take(first)
  return true
}

function toSlot(back: boolean): boolean {
  const here = { from: field.value!.selectionStart, to: field.value!.selectionEnd }
  const next = nextSlot(slots.value, here, back)
  if (!next) return false
  void choose(next)
  return true
}

function focus(begin = '') {
  text.value += begin
  const end = text.value.length
  void choose({ from: end, to: end }).then(() => (begin ? ask() : undefined))
}
defineExpose({ focus })
</script>

<template>
  <div class="min-w-0 py-1" :class="{ 'opacity-60': busy }">
    <div
      class="grid rounded-control border bg-panel focus-within:outline-2 focus-within:outline-offset-1 focus-within:outline-slate"
      :class="wrong ? 'border-clay' : 'border-line'"
    >
      <div class="typed invisible" aria-hidden="true">
        <template v-if="wrong"
          >{{ text.slice(0, wrong.from)
          }}<span class="visible text-transparent underline decoration-clay decoration-wavy">{{
            text.slice(wrong.from, wrong.to) || ' '
          }}</span
          >{{ text.slice(wrong.to) }}&#8203;</template
        >
        <template v-else>{{ text || placeholder }}&#8203;</template>
      </div>
      <textarea
        ref="field"
        class="typed resize-none overflow-hidden bg-transparent outline-none placeholder:text-ink3"
        rows="1"
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        maxlength="20000"
        aria-autocomplete="list"
        :aria-label="label"
        :aria-describedby="hint"
        :aria-controls="open ? list : undefined"
        :aria-activedescendant="open && active >= 0 ? `${list}-${active}` : undefined"
        :aria-invalid="!!wrong"
        :value="text"
        :placeholder="placeholder"
        @input="onInput"
        @keyup="onCaret"
        @click="onCaret"
        @focus="onFocus"
        @blur="onBlur"
        @keydown="onKey"
      />
    </div>
    <p
      :id="hint"
      class="mt-0.5 min-h-4.5 px-1 text-note leading-4.5"
      :class="wrong || failure || trouble ? 'text-clay' : asked ? 'text-ink' : 'text-ink2'"
      aria-live="polite"
    >
      <template v-if="failure || trouble">{{ failure ?? trouble }}</template>
      <template v-else-if="understood">
        <kbd>Enter</kbd> {{ replaced ? 'changes it to' : 'adds' }}:
        <template v-for="(sentence, i) in understood.sentences" :key="i"
          >{{ i ? '; ' : '' }}<Sentence :phrase="sentence"
        /></template>
        <template v-if="brought"> · {{ brought }}</template>
      </template>
      <template v-else-if="text && refused">
        {{ refused.why }}
        <template v-if="ways.length && !unfinished">
          <kbd>Tab</kbd> {{ asked ? 'takes' : 'puts' }}
          <b class="font-semibold">{{ ways[0]!.text }}</b>
        </template>
      </template>
      <slot v-else />
    </p>
    <WaysToGoOn
      :id="list"
      :open="open"
      :field="field"
      :completions="ways"
      :active="active"
      @take="take"
    />
  </div>
</template>

<style scoped>
@reference '../../../styles.css';
.typed {
  @apply col-start-1 row-start-1 min-h-7 px-2 py-1 leading-4.5 break-words whitespace-pre-wrap;
}
</style>
