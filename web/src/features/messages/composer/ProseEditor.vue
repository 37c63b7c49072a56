<script setup lang="ts">
import { Bold, Heading, Italic, Link, List, ListOrdered, UserRound } from '@lucide/vue'
import { EditorContent, useEditor } from '@tiptap/vue-3'
import { computed, ref, watch } from 'vue'
import type { BlockDocument, LinkDocument, MergeField } from '@/api/types'
import { pasted, proseParts } from './editorParts'
import FieldForm from './FieldForm.vue'
import { blocksOf, documentOf } from './prose'
import TargetForm from './TargetForm.vue'

/** A text that is being written. Escape leaves it; Control and Enter goes on below it. */
const props = defineProps<{ blocks: BlockDocument[]; label: string }>()
const emit = defineEmits<{ change: [blocks: BlockDocument[]]; leave: []; below: [] }>()

/** What the editor shows, so that its own changes do not come back to it. */
let shown = JSON.stringify(props.blocks)
const chosenField = ref<MergeField | null>(null)
const chosenLink = ref<LinkDocument | null>(null)

const editor = useEditor({
  /* Its styles are in ours: none may be written into the page. */
  injectCSS: false,
  extensions: proseParts,
  content: documentOf(props.blocks),
  autofocus: 'end',
  editorProps: {
    attributes: {
      class: 'prose',
      'aria-label': props.label,
      role: 'textbox',
      'aria-multiline': 'true',
    },
    transformPastedHTML: pasted,
    handleKeyDown: (_, event) => {
      if (event.key === 'Escape') emit('leave')
      else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) emit('below')
      else if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'k') {
        event.stopPropagation()
        toggleLink()
      } else return false
      event.preventDefault()
      return true
    },
  },
  onUpdate: ({ editor: now }) => {
    const blocks = blocksOf(now.getJSON())
    shown = JSON.stringify(blocks)
    emit('change', blocks)
  },
  onSelectionUpdate: ({ editor: now }) => look(now),
  onTransaction: ({ editor: now }) => look(now),
})

type Now = NonNullable<typeof editor.value>

function look(
  now:
    Now | { state: Now['state']; getAttributes: Now['getAttributes']; isActive: Now['isActive'] },
) {
  const { selection } = now.state
  const node =
    'node' in selection
      ? (selection.node as { type: { name: string }; attrs: Record<string, unknown> })
      : null
  chosenField.value = node?.type.name === 'mergeField' ? (node.attrs['field'] as MergeField) : null
  chosenLink.value = now.isActive('link')
    ? (now.getAttributes('link')['link'] as LinkDocument)
    : null
}

watch(
  () => props.blocks,
  (blocks) => {
    const text = JSON.stringify(blocks)
    if (text === shown) return
    shown = text
    editor.value?.commands.setContent(documentOf(blocks), { emitUpdate: false })
  },
)

const heading = computed(() => (editor.value?.getAttributes('heading')['level'] as number) ?? 0)

function run() {
  return editor.value!.chain().focus()
}

function nextHeading() {
  const next = (heading.value + 1) % 4
  if (next === 0) run().setParagraph().run()
  else
    run()
      .setHeading({ level: next as 1 | 2 | 3 })
      .run()
}

function toggleLink() {
  if (editor.value?.isActive('link')) run().extendMarkRange('link').unsetMark('link').run()
  else
    run()
      .setMark('link', { link: { to: null, name: null } })
      .run()
}

function addField() {
  const field: MergeField = { source: { kind: 'firstName' }, fallback: '', format: 'USUAL' }
  const at = editor.value!.state.selection.from
  run().insertContent({ type: 'mergeField', attrs: { field } }).setNodeSelection(at).run()
}

function changeField(field: MergeField) {
  editor.value!.chain().updateAttributes('mergeField', { field }).run()
}

function changeLink(link: LinkDocument) {
  editor.value!.chain().extendMarkRange('link').setMark('link', { link }).run()
}

defineExpose({ focus: () => editor.value?.commands.focus() })
</script>

<template>
  <div class="rounded-md bg-white outline outline-line">
    <EditorContent :editor="editor" />
    <div
      v-if="editor"
      class="flex flex-wrap items-center gap-1 border-t border-line2 px-1.5 py-1"
      role="toolbar"
      aria-label="Text"
    >
      <button
        type="button"
        class="tool"
        :aria-pressed="editor.isActive('bold')"
        title="Bold (Ctrl B)"
        aria-label="Bold"
        @click="run().toggleBold().run()"
      >
        <Bold class="size-3.5" />
      </button>
      <button
        type="button"
        class="tool"
        :aria-pressed="editor.isActive('italic')"
        title="Italic (Ctrl I)"
        aria-label="Italic"
        @click="run().toggleItalic().run()"
      >
        <Italic class="size-3.5" />
      </button>
      <button
        type="button"
        class="tool"
        :aria-pressed="heading > 0"
        :title="heading ? `Heading ${heading}; once more for the next size` : 'Heading'"
        aria-label="Heading"
        @click="nextHeading"
      >
        <Heading class="size-3.5" /><span v-if="heading" class="figure text-micro">{{
          heading
        }}</span>
      </button>
      <button
        type="button"
        class="tool"
        :aria-pressed="editor.isActive('bulletList')"
        title="List"
        aria-label="List"
        @click="run().toggleBulletList().run()"
      >
        <List class="size-3.5" />
      </button>
      <button
        type="button"
        class="tool"
        :aria-pressed="editor.isActive('orderedList')"
        title="Numbered list"
        aria-label="Numbered list"
        @click="run().toggleOrderedList().run()"
      >
        <ListOrdered class="size-3.5" />
      </button>
      <button
        type="button"
        class="tool"
        :aria-pressed="!!chosenLink"
        title="Link (Ctrl K)"
        aria-label="Link"
        @click="toggleLink"
      >
        <Link class="size-3.5" />
      </button>
      <button
        type="button"
        class="tool"
        title="Something of each person’s own"
        aria-label="Field"
        @click="addField"
      >
        <UserRound class="size-3.5" />
      </button>
      <span class="note ml-auto pr-1"><kbd>Esc</kbd> done</span>
    </div>
    <FieldForm
      v-if="chosenField"
      class="border-t border-line2 px-2 py-1.5"
      :field="chosenField"
      @change="changeField"
    />
    <TargetForm
      v-else-if="chosenLink"
      class="border-t border-line2 px-2 py-1.5"
      :link="chosenLink"
      @change="changeLink"
    />
  </div>
</template>
