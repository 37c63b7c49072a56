<script setup lang="ts">
import { autoUpdate, flip, offset, shift, size, useFloating } from '@floating-ui/vue'
import { toRef, useTemplateRef } from 'vue'
import type { Completion } from '@/api/types'

/** The list of what may come next in a sentence, below the field it is typed into. */
const props = defineProps<{
  id: string
  open: boolean
  field: HTMLElement | null
  completions: Completion[]
  /** The one that Enter takes, or -1. */
  active: number
}>()
defineEmits<{ take: [completion: Completion] }>()

const popup = useTemplateRef<HTMLElement>('popup')
const { floatingStyles } = useFloating(
  toRef(() => props.field),
  popup,
  {
    open: toRef(() => props.open),
    placement: 'bottom-start',
    whileElementsMounted: autoUpdate,
    middleware: [
      offset({ mainAxis: 30 }),
      flip({ padding: 8, fallbackPlacements: ['top-start'] }),
      shift({ padding: 8 }),
      size({
        apply: ({ availableHeight, elements }) => {
          elements.floating.style.maxHeight = `${Math.max(80, availableHeight - 8)}px`
        },
      }),
    ],
  },
)
</script>

<template>
  <Teleport defer to="main">
    <ul
      v-if="open"
      :id="id"
      ref="popup"
      role="listbox"
      aria-label="Ways to go on"
      class="z-20 min-w-45 overflow-y-auto rounded-lg border border-line bg-panel py-1"
      :style="floatingStyles"
    >
      <li
        v-for="(one, i) in completions"
        :id="`${id}-${i}`"
        :key="one.text + one.what"
        role="option"
        :aria-selected="i === active"
        class="flex cursor-pointer items-baseline gap-3 px-3 py-0.5"
        :class="i === active ? 'bg-marigold-soft' : 'hover:bg-sunk'"
        @mousedown.prevent="$emit('take', one)"
      >
        {{ one.text }}<span class="ml-auto text-fine text-ink2">{{ one.what }}</span>
      </li>
    </ul>
  </Teleport>
</template>
