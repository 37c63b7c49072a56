<script setup lang="ts">
import { computed, inject, nextTick, useTemplateRef, watch } from 'vue'
import type { BlockDocument, PartDocument } from '@/api/types'
import DropMenu, { type MenuChoice } from '@/ui/DropMenu.vue'
import { useManuscript } from './manuscriptStore'
import PartContent from './PartContent.vue'
import PartForm from './PartForm.vue'
import PartGlyph from './PartGlyph.vue'
import PartRows from './PartRows.vue'
import { replaced } from './parts'
import ProseEditor from './ProseEditor.vue'
import { ROWS } from './useRows'
import { KINDS } from './words'

/** A part as it stands in the manuscript, with what is inside of it below. */
const props = defineProps<{ part: PartDocument; depth: number; says: Map<string, string> }>()
const store = useManuscript()
const rows = inject(ROWS)!
const row = useTemplateRef<HTMLElement>('row')

const chosen = computed(() => store.selected === props.part.id)
const editing = computed(() => chosen.value && rows.editing.value)
const folded = computed(() => rows.folded.value.has(props.part.id))
const holds = computed(() => props.part.kind === 'columns' || props.part.kind === 'passage')
const landing = computed(() =>
  rows.landing.value?.part === props.part.id ? rows.landing.value.where : null,
)
const name = computed(() =>
  props.part.kind === 'columns'
    ? props.part.columns.length === 2
      ? 'two columns'
      : 'three columns'
    : KINDS[props.part.kind],
)
/** Why the starter that it was begun from has it there. */
const reason = computed(() => rows.reasons.value[props.part.id] ?? null)
const sentence = computed(() => props.says.get(props.part.id) ?? null)

const menu = computed<MenuChoice[][]>(() => [
  [
    { id: 'edit', name: 'Edit', keys: 'Enter' },
    { id: 'below', name: 'Write below', keys: 'Ctrl Enter' },
    { id: 'duplicate', name: 'Duplicate', keys: 'Ctrl D' },
  ],
  [
    { id: 'up', name: 'Move up', keys: 'Alt ↑' },
    { id: 'down', name: 'Move down', keys: 'Alt ↓' },
    { id: 'copy', name: 'Copy', keys: 'Ctrl C' },
    { id: 'cut', name: 'Cut', keys: 'Ctrl X' },
    { id: 'paste', name: 'Paste below', keys: 'Ctrl V' },
  ],
  [{ id: 'remove', name: 'Remove', keys: 'Del' }],
])

function write(blocks: BlockDocument[]) {
  store.editParts(
    'wrote',
    (parts) => replaced(parts, { ...props.part, blocks } as PartDocument),
    props.part.id,
  )
}

/* Whoever goes by keys sees where they are. */
watch(
  [chosen, editing, rows.acted],
  async ([now, edited]) => {
    if (!now || edited) return
    await nextTick()
    if (rows.follows.value) row.value?.focus({ preventScroll: true })
    row.value?.scrollIntoView({ block: 'nearest' })
  },
  { flush: 'post' },
)
</script>

<template>
  <div>
    <div
      ref="row"
      role="group"
      aria-roledescription="part"
      class="group relative grid grid-cols-[92px_1fr_auto] items-start gap-x-2 border-b border-line2 py-2 pr-2 outline-offset-[-2px]"
      :class="[
        chosen ? 'bg-marigold-soft shadow-[inset_3px_0_0_var(--color-marigold)]' : 'hover:bg-sunk',
        landing === 'before' ? 'landing-top' : '',
        landing === 'behind' ? 'landing-bottom' : '',
      ]"
      :style="{ paddingLeft: `${12 + depth * 18}px` }"
      :data-part="part.id"
      :tabindex="chosen ? 0 : -1"
      :aria-current="chosen"
      :aria-label="`${name}${folded ? ', folded' : ''}${sentence ? `: ${sentence}` : ''}`"
      :draggable="!editing"
      @click="rows.choose(part.id)"
      @dblclick="rows.edit(part.id)"
      @keydown="rows.onKey($event, part.id)"
      @dragstart="rows.drag.start($event, part.id)"
      @dragover="rows.drag.over($event, part.id)"
      @drop="rows.drag.drop($event)"
      @dragend="rows.drag.end"
    >
      <span class="flex items-center gap-1.5 text-note whitespace-nowrap text-ink2">
        <PartGlyph :kind="part.kind" />{{ name }}
      </span>
      <div v-if="editing" class="min-w-0" @keydown.stop @click.stop @dblclick.stop>
        <ProseEditor
          v-if="part.kind === 'prose'"
          :blocks="part.blocks"
          label="Text"
          @change="write"
          @leave="rows.leave"
          @below="rows.below"
        />
        <PartForm v-else :part="part" :says="sentence" @leave="rows.leave" />
      </div>
      <div v-else class="min-w-0 break-words">
        <PartContent :part="part" :says="sentence" />
        <span v-if="reason" class="reason">{{ reason }}</span>
      </div>
      <DropMenu
        class="-my-1"
        :class="chosen ? '' : 'opacity-0 group-hover:opacity-100 focus-within:opacity-100'"
        small
        :label="`What can be done with this ${name}`"
        :groups="menu"
        @choose="(what) => rows.act(what, part.id)"
        >⋮</DropMenu
      >
    </div>
    <div v-if="holds && !folded">
      <template v-if="part.kind === 'columns'">
        <template v-for="(column, n) in part.columns" :key="n">
          <div class="inner-head" :style="{ paddingLeft: `${30 + depth * 18}px` }">
            column {{ n + 1 }}
            <button
              v-if="column.parts.length === 0"
              type="button"
              class="button button-small ml-2"
              @click="rows.inside(part.id, n)"
            >
              Write here
            </button>
          </div>
          <PartRows :parts="column.parts" :depth="depth + 1" :says="says" />
        </template>
      </template>
      <template v-else-if="part.kind === 'passage'">
        <div
          v-if="part.parts.length === 0"
          class="inner-head"
          :style="{ paddingLeft: `${30 + depth * 18}px` }"
        >
          nothing yet
          <button type="button" class="button button-small ml-2" @click="rows.inside(part.id, 0)">
            Write here
          </button>
        </div>
        <PartRows :parts="part.parts" :depth="depth + 1" :says="says" />
        <div class="inner-head" :style="{ paddingLeft: `${30 + depth * 18}px` }">
          otherwise
          <template v-if="part.otherwise.length === 0"
            >nothing
            <button type="button" class="button button-small ml-2" @click="rows.inside(part.id, 1)">
              Write here
            </button></template
          >
        </div>
        <PartRows :parts="part.otherwise" :depth="depth + 1" :says="says" />
      </template>
    </div>
  </div>
</template>
