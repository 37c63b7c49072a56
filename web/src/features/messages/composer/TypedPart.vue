<script setup lang="ts">
import { computed, ref, useId } from 'vue'
import { answerOf, api } from '@/api/client'
import type { PartDocument } from '@/api/types'
import { useReadWhileTyped, useWaysBelow } from '@/ui/useTypedLine'
import WaysToGoOn from '@/ui/WaysToGoOn.vue'

/** Keeps typing light. */
const PAUSE_MILLIS = 80

/**
 * A line into which a part is typed, with completion and the exact place of what is not understood.
 * Enter hands it out once it is understood.
 */
const props = defineProps<{
  label: string
  placeholder?: string
  /** What the part is to be called. */
  id: string
  begun?: string
}>()
const emit = defineEmits<{ made: [part: PartDocument]; leave: [] }>()

const list = useId()
const line = useReadWhileTyped(
  props.begun ?? '',
  (text, caret) =>
    answerOf(api.POST('/api/parts/readings', { body: { text, caret, id: props.id } })),
  PAUSE_MILLIS,
)
const { text, view, trouble, read, readSoon } = line

const tried = ref(false)
const wrong = computed(() => (tried.value ? (view.value?.unclear ?? null) : null))
const { field, focused, closed, ways, active, move, open, onCaret, take, chosen, onTab } =
  useWaysBelow(line, wrong)

function onInput() {
  text.value = field.value!.value
  closed.value = false
  tried.value = false
  onCaret()
  if (text.value.trim()) void readSoon()
}

async function onEnter() {
  const way = chosen()
  if (way) return take(way)
  if (!text.value.trim()) return
  const found = view.value ?? (await read())
  tried.value = true
  closed.value = !found?.unclear?.offers.length
  if (!found?.made) return
  emit('made', found.made.part as PartDocument)
  if (props.begun === undefined) text.value = ''
  tried.value = false
}

defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div>
    <div class="relative">
      <div
        v-if="wrong"
        class="pointer-events-none absolute inset-0 overflow-hidden px-2.5 py-1.5 whitespace-pre-wrap text-transparent"
        aria-hidden="true"
      >
        {{ text.slice(0, wrong.from)
        }}<span class="underline decoration-clay decoration-wavy underline-offset-4">{{
          text.slice(wrong.from, wrong.to) || ' '
        }}</span>
      </div>
      <textarea
        ref="field"
        class="field block resize-none py-1.5! [field-sizing:content]"
        rows="1"
        autocomplete="off"
        maxlength="20000"
        aria-autocomplete="list"
        :aria-label="label"
        :aria-controls="open ? list : undefined"
        :aria-activedescendant="open && active >= 0 ? `${list}-${active}` : undefined"
        :aria-invalid="!!wrong"
        :value="text"
        :placeholder="placeholder"
        @input="onInput"
        @keyup="onCaret"
        @click="onCaret"
        @focus="focused = true"
        @blur="focused = false"
        @keydown.down="open && (move(1), $event.preventDefault())"
        @keydown.up="open && (move(-1), $event.preventDefault())"
        @keydown.enter.exact.prevent="onEnter"
        @keydown.tab="onTab"
        @keydown.esc.stop="open ? (closed = true) : emit('leave')"
      />
    </div>
    <p v-if="trouble || wrong" class="mt-1 text-note text-clay" role="alert">
      {{ trouble ?? wrong?.why }}
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
