<script setup lang="ts">
import { UserRound } from '@lucide/vue'
import { EditorContent, useEditor } from '@tiptap/vue-3'
import { until, useMousePressed } from '@vueuse/core'
import { ref, watch } from 'vue'
import type { LineDocument, MergeField } from '@/api/types'
import { addField, changeField, chosenFieldOf, lineParts } from './editorParts'
import FieldForm from './FieldForm.vue'
import { contentOf, wordsOf } from './prose'

/** A line with fields in it, such as a subject. */
const props = defineProps<{
  line: LineDocument
  label: string
  bold?: boolean
  autofocus?: boolean
}>()
const emit = defineEmits<{ change: [line: LineDocument]; enter: []; leave: [] }>()

let shown = JSON.stringify(props.line)
const chosenField = ref<MergeField | null>(null)
const focused = ref(false)
const { pressed } = useMousePressed()

function contents(line: LineDocument) {
  return { type: 'doc', content: [{ type: 'paragraph', content: contentOf(line.words) }] }
}

const editor = useEditor({
  /* Its styles are in ours: none may be written into the page. */
  injectCSS: false,
  extensions: lineParts,
  content: contents(props.line),
  autofocus: props.autofocus ? 'end' : false,
  editorProps: {
    attributes: { class: 'prose-line', 'aria-label': props.label, role: 'textbox' },
    transformPastedText: (text) => text.replace(/\s+/g, ' '),
    handleKeyDown: (_, event) => {
      if (event.key === 'Enter') emit('enter')
      else if (event.key === 'Escape') emit('leave')
      else return false
      event.preventDefault()
      return true
    },
  },
  onUpdate: ({ editor: now }) => {
    const line: LineDocument = { words: wordsOf(now.getJSON().content![0]!) }
    shown = JSON.stringify(line)
    emit('change', line)
  },
  onTransaction: ({ editor: now }) => (chosenField.value = chosenFieldOf(now)),
  onFocus: () => (focused.value = true),
})

watch(
  () => props.line,
  (line) => {
    const text = JSON.stringify(line)
    if (text === shown) return
    shown = text
    editor.value?.commands.setContent(contents(line), { emitUpdate: false })
  },
)

function onFocusOut(event: FocusEvent) {
  const inside = (event.currentTarget as HTMLElement).contains(event.relatedTarget as Node | null)
  if (inside) return
  /* Whatever is pressed outside stays in its place until it is let go. */
  void until(pressed)
    .toBe(false)
    .then(() => (focused.value = false))
}
</script>

<template>
  <div @focusout="onFocusOut">
    <div class="flex items-start gap-1">
      <EditorContent
        class="min-w-0 flex-1 rounded-md px-1 py-0.5 focus-within:bg-white focus-within:outline focus-within:outline-line"
        :class="{ 'font-semibold': bold }"
        :editor="editor"
      />
      <button
        type="button"
        class="tool -my-0.5"
        :class="{ invisible: !focused }"
        title="Something of each person’s own"
        :aria-label="`Field in ${label}`"
        @click="addField(editor!)"
      >
        <UserRound class="size-3.5" />
      </button>
    </div>
    <FieldForm
      v-if="focused && chosenField"
      class="py-1.5"
      :field="chosenField"
      @change="(field) => changeField(editor!, field)"
    />
  </div>
</template>
