<script setup lang="ts">
import { Bold, Heading, Italic, Link, List, ListOrdered, UserRound } from '@lucide/vue'
import { EditorContent, useEditor } from '@tiptap/vue-3'
import { computed, ref, watch, type Component } from 'vue'
import type { BlockDocument, LinkDocument, MergeField } from '@/api/types'
import { addField, changeField, chosenFieldOf, pasted, proseParts } from './editorParts'
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
  onTransaction: ({ editor: now }) => {
    chosenField.value = chosenFieldOf(now)
    chosenLink.value = now.isActive('link')
      ? (now.getAttributes('link')['link'] as LinkDocument)
      : null
  },
})

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

function changeLink(link: LinkDocument) {
  editor.value!.chain().extendMarkRange('link').setMark('link', { link }).run()
}

interface Tool {
  name: string
  /** What more is said of it than its name. */
  title?: string
  icon: Component
  on?: boolean
  level?: number
  act: () => void
}

const tools = computed<Tool[]>(() => {
  const is = (what: string) => editor.value!.isActive(what)
  return [
    {
      name: 'Bold',
      title: 'Bold (Ctrl B)',
      icon: Bold,
      on: is('bold'),
      act: () => run().toggleBold().run(),
    },
    {
      name: 'Italic',
      title: 'Italic (Ctrl I)',
      icon: Italic,
      on: is('italic'),
      act: () => run().toggleItalic().run(),
    },
    {
      name: 'Heading',
      title: heading.value ? `Heading ${heading.value}; once more for the next size` : undefined,
      icon: Heading,
      on: heading.value > 0,
      level: heading.value,
      act: nextHeading,
    },
    { name: 'List', icon: List, on: is('bulletList'), act: () => run().toggleBulletList().run() },
    {
      name: 'Numbered list',
      icon: ListOrdered,
      on: is('orderedList'),
      act: () => run().toggleOrderedList().run(),
    },
    { name: 'Link', title: 'Link (Ctrl K)', icon: Link, on: is('link'), act: toggleLink },
    {
      name: 'Field',
      title: 'Something of each person’s own',
      icon: UserRound,
      act: () => addField(editor.value!),
    },
  ]
})

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
        v-for="tool in tools"
        :key="tool.name"
        type="button"
        class="tool"
        :aria-pressed="tool.on"
        :title="tool.title ?? tool.name"
        :aria-label="tool.name"
        @click="tool.act"
      >
        <component :is="tool.icon" class="size-3.5" /><span
          v-if="tool.level"
          class="figure text-micro"
          >{{ tool.level }}</span
        >
      </button>
      <span class="note ml-auto pr-1"><kbd>Esc</kbd> done</span>
    </div>
    <FieldForm
      v-if="chosenField"
      class="border-t border-line2 px-2 py-1.5"
      :field="chosenField"
      @change="(field) => changeField(editor!, field)"
    />
    <TargetForm
      v-else-if="chosenLink"
      class="border-t border-line2 px-2 py-1.5"
      :link="chosenLink"
      @change="changeLink"
    />
  </div>
</template>
