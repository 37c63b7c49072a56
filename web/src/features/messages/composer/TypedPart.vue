<script setup lang="ts">
import { computed, nextTick, ref, useId, useTemplateRef } from 'vue'
import type { PartDocument } from '@/api/types'
import WaysToGoOn from '@/ui/WaysToGoOn.vue'
import { offered, taken, useActive, type Way } from '@/ui/waysToGoOn'
import { usePartReading } from './usePartReading'

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
const field = useTemplateRef<HTMLTextAreaElement>('field')
const text = ref(props.begun ?? '')
const caret = ref(text.value.length)
const focused = ref(false)
const closed = ref(false)
const tried = ref(false)
const { last, trouble, read, readSoon } = usePartReading()

const view = computed(() => (last.value?.text === text.value ? last.value.view : null))
const unclear = computed(() => view.value?.unclear ?? null)
const wrong = computed(() => (unclear.value && tried.value ? unclear.value : null))
const ways = computed<Way[]>(() =>
  wrong.value?.offers.length
    ? offered(wrong.value.offers, 'correction')
    : (view.value?.completions ?? [])
        .filter((one) => text.value.slice(one.from, caret.value) !== one.text)
        .slice(0, 8),
)
const { active, move } = useActive(ways)
const open = computed(
  () => focused.value && !closed.value && text.value.trim() !== '' && ways.value.length > 0,
)

function onInput() {
  text.value = field.value!.value
  closed.value = false
  tried.value = false
  onCaret()
  if (text.value.trim()) void readSoon(text.value, caret.value, props.id)
}

function onCaret() {
  caret.value = field.value?.selectionStart ?? text.value.length
}

async function take(way: Way) {
  const after = taken(way, text.value, caret.value)
  text.value = after.text
  await nextTick()
  field.value?.focus()
  field.value?.setSelectionRange(after.caret, after.caret)
  onCaret()
  await read(text.value, caret.value, props.id)
}

async function onEnter() {
  const way = open.value && active.value >= 0 ? ways.value[active.value] : undefined
  if (way) return take(way)
  if (!text.value.trim()) return
  const found = view.value ?? (await read(text.value, caret.value, props.id))
  tried.value = true
  closed.value = true
  if (!found?.made) return
  emit('made', found.made.part as PartDocument)
  if (props.begun === undefined) text.value = ''
  tried.value = false
}

async function onTab(event: KeyboardEvent) {
  if (event.shiftKey || text.value.trim() === '' || (view.value && !open.value)) return
  event.preventDefault()
  if (!view.value) await read(text.value, caret.value, props.id)
  const first = ways.value[Math.max(0, active.value)]
  if (first) void take(first)
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
