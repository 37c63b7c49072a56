<script setup lang="ts" generic="M extends object">
import { computed, onMounted, useId, watch } from 'vue'
import type { Completion, Unclear } from '@/api/types'
import { useReadWhileTyped, useWaysBelow } from './useTypedLine'
import WaysToGoOn from './WaysToGoOn.vue'

/**
 * A sentence that the server reads while it is typed, with completions. What is understood is told,
 * and that something else stands there now; the model keeps what was understood last.
 */
const props = defineProps<{
  label: string
  placeholder: string
  above?: boolean
  ask: (
    text: string,
    caret: number,
  ) => Promise<{ meant?: M | null; unclear?: Unclear | null; completions: Completion[] }>
}>()
const sentence = defineModel<string>({ required: true })
const emit = defineEmits<{ meant: [meant: M]; unclear: [] }>()

const PAUSE_MILLIS = 120

const list = useId()
const hint = useId()
const line = useReadWhileTyped(sentence.value, (now, at) => props.ask(now, at), PAUSE_MILLIS)
const { text, caret, view, completions, trouble, read, readSoon } = line

const meant = computed(() => view.value?.meant ?? null)
const unclear = computed(() => view.value?.unclear ?? null)
/** A sentence that only stops too early is not wrong yet. */
const unfinished = computed(() => {
  const problem = unclear.value
  if (!problem || problem.asks) return false
  const begun = completions.value.some((one) => one.from === problem.from)
  const end = text.value.trimEnd().length
  return problem.from >= end || (caret.value >= end && begun)
})
const wrong = computed(() => (unclear.value && !unfinished.value ? unclear.value : null))
const { field, focused, closed, ways, active, move, open, onCaret, take, chosen, onTab } =
  useWaysBelow(line, wrong)

onMounted(read)
watch(meant, (now) => {
  if (!now) {
    emit('unclear')
    return
  }
  sentence.value = text.value
  emit('meant', now)
})

function onInput() {
  text.value = field.value!.value
  closed.value = false
  onCaret()
  void readSoon()
}

function onEnter() {
  const way = chosen()
  if (way) void take(way)
  else closed.value = true
}

/** Puts another sentence there. */
async function say(other: string) {
  text.value = other
  caret.value = other.length
  closed.value = true
  await read()
}

defineExpose({ say })
</script>

<template>
  <div>
    <label v-if="props.above" class="label" :for="`${list}-field`">{{ label }}</label>
    <div class="flex items-center gap-3">
      <label v-if="!props.above" :for="`${list}-field`" class="text-ink2">{{ label }}</label>
      <div class="relative min-w-0 flex-1">
        <div
          v-if="wrong"
          class="pointer-events-none absolute inset-0 flex items-center overflow-hidden px-2.5 whitespace-pre text-transparent"
          aria-hidden="true"
        >
          {{ text.slice(0, wrong.from)
          }}<span class="underline decoration-clay decoration-wavy underline-offset-4">{{
            text.slice(wrong.from, wrong.to) || ' '
          }}</span>
        </div>
        <input
          :id="`${list}-field`"
          ref="field"
          class="field"
          role="combobox"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          maxlength="2000"
          aria-autocomplete="list"
          :aria-expanded="open"
          :aria-controls="list"
          :aria-describedby="hint"
          :aria-activedescendant="open && active >= 0 ? `${list}-${active}` : undefined"
          :aria-invalid="!!wrong"
          :value="text"
          :placeholder="placeholder"
          @input="onInput"
          @keyup="onCaret"
          @click="onCaret"
          @focus="focused = true"
          @blur="focused = false"
          @keydown.down.prevent="open && move(1)"
          @keydown.up.prevent="open && move(-1)"
          @keydown.enter.prevent="onEnter"
          @keydown.tab="onTab"
          @keydown.esc="closed = true"
        />
      </div>
      <slot :meant="meant" />
    </div>
    <p
      :id="hint"
      class="note mt-1 min-h-4.5"
      :class="{ 'text-clay!': wrong || trouble, 'pl-15': !props.above }"
      aria-live="polite"
    >
      <template v-if="trouble">{{ trouble }}</template>
      <template v-else-if="wrong">{{ wrong.why }}</template>
      <slot v-else name="note" :meant="meant"> <kbd>Tab</kbd> takes the first way to go on. </slot>
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
