<script setup lang="ts">
import { computed } from 'vue'
import type { Mark } from './picture'
import { isSend } from './graph'
import { leafPath } from './paths'

const props = defineProps<{
  mark: Mark
  clip: string
  /** How high a leaf is. */
  leaf: number
  selected: boolean
  hovered?: boolean
}>()
const emit = defineEmits<{ select: [] }>()

const LEAF = 34
const choosable = computed(() => !['start', 'merge', 'end'].includes(props.mark.kind))
const isText = computed(() => props.mark.kind === 'sendText')
/** On its stem, as large as the picture has them. */
const stand = computed(
  () => `translate(${props.mark.x} ${props.mark.top - 6}) scale(${props.leaf / LEAF})`,
)
const line = computed(() => (props.selected ? 'var(--color-marigold)' : 'var(--color-pine)'))

function choose(event: Event) {
  event.preventDefault()
  emit('select')
}
</script>

<template>
  <g
    v-if="choosable"
    role="button"
    tabindex="0"
    :aria-label="mark.title"
    :aria-pressed="selected"
    :data-step="mark.id"
    class="outline-offset-4"
    @click="emit('select')"
    @keydown.enter="choose"
    @keydown.space="choose"
  >
    <title>{{ mark.title }}</title>
    <rect
      v-if="hovered"
      :x="mark.x - 17"
      :y="mark.top - leaf - 12"
      width="34"
      :height="mark.bottom - mark.top + leaf + 18"
      rx="6"
      fill="var(--color-marigold-soft)"
      data-hovered
    />
    <template v-if="isSend(mark)">
      <line
        :x1="mark.x"
        :x2="mark.x"
        :y1="mark.y"
        :y2="mark.top - 8"
        :stroke="line"
        stroke-width="1.6"
      />
      <circle :cx="mark.x" :cy="mark.y" r="3" fill="var(--color-pine)" />
      <g v-if="isText" :transform="stand">
        <rect x="-13" y="-22" width="26" height="20" rx="4" fill="var(--color-panel)" />
        <rect
          v-if="mark.opened !== null"
          x="-13"
          :y="-2 - 20 * mark.opened"
          width="26"
          :height="20 * mark.opened"
          fill="var(--color-leaf)"
        />
        <rect
          x="-13"
          y="-22"
          width="26"
          height="20"
          rx="4"
          fill="none"
          :stroke="line"
          :stroke-width="selected ? 3 : 1.6"
        />
      </g>
      <g v-else :transform="stand">
        <path :d="leafPath(22, LEAF)" fill="var(--color-panel)" />
        <rect
          v-if="mark.opened !== null"
          x="-14"
          width="28"
          :y="-LEAF * mark.opened"
          :height="LEAF * mark.opened"
          fill="var(--color-leaf)"
          :clip-path="`url(#${clip})`"
        />
        <path
          :d="leafPath(22, LEAF)"
          fill="none"
          :stroke="line"
          :stroke-width="selected ? 3 : 1.6"
        />
      </g>
    </template>
    <rect
      v-else-if="mark.kind === 'branch'"
      :x="mark.x - 4"
      :y="mark.top - 4"
      width="8"
      :height="mark.bottom - mark.top + 8"
      rx="4"
      fill="var(--color-pine)"
      :stroke="selected ? 'var(--color-marigold)' : 'none'"
      stroke-width="3"
    />
    <g v-else-if="mark.kind === 'splitTest'">
      <rect
        :x="mark.x - 5"
        :y="mark.top - 4"
        width="10"
        :height="mark.bottom - mark.top + 8"
        rx="4"
        fill="var(--color-panel)"
        :stroke="line"
        :stroke-width="selected ? 3 : 1.6"
      />
      <line
        :x1="mark.x"
        :x2="mark.x"
        :y1="mark.top"
        :y2="mark.bottom"
        stroke="var(--color-pine)"
        stroke-width="3"
        stroke-dasharray="3 3"
      />
    </g>
    <g v-else-if="mark.kind === 'include'" fill="none" stroke-linecap="round">
      <rect
        :x="mark.x - 8"
        :y="mark.y - 8"
        width="16"
        height="16"
        rx="4"
        fill="var(--color-panel)"
        :stroke="line"
        :stroke-width="selected ? 3 : 1.6"
      />
      <path
        :d="`M${mark.x - 4},${mark.y + 4}c1,-8 7,0 8,-8`"
        stroke="var(--color-vine)"
        stroke-width="1.8"
      />
    </g>
    <path
      v-else-if="mark.kind === 'handOver'"
      :d="`M${mark.x - 8},${mark.y - 4}h7v-4l9,8l-9,8v-4h-7z`"
      fill="var(--color-slate-soft)"
      :stroke="selected ? 'var(--color-marigold)' : 'var(--color-slate)'"
      :stroke-width="selected ? 2.5 : 1.3"
    />
    <path
      v-else-if="mark.kind === 'notify'"
      :d="`M${mark.x},${mark.y - 8}l8,8l-8,8l-8,-8z`"
      fill="var(--color-slate-soft)"
      :stroke="selected ? 'var(--color-marigold)' : 'var(--color-slate)'"
      :stroke-width="selected ? 2.5 : 1.3"
    />
    <path
      v-else-if="mark.kind === 'change'"
      :d="`M${mark.x - 8},${mark.y - 8}h14l7,8l-7,8h-14z`"
      fill="var(--color-plum-soft)"
      :stroke="selected ? 'var(--color-marigold)' : 'var(--color-plum)'"
      :stroke-width="selected ? 2.5 : 1.3"
    />
    <g v-else>
      <circle
        :cx="mark.x"
        :cy="mark.y"
        r="7"
        fill="var(--color-panel)"
        :stroke="line"
        :stroke-width="selected ? 3 : 1.6"
      />
      <line
        :x1="mark.x - 3"
        :x2="mark.x + 3"
        :y1="mark.y"
        :y2="mark.y"
        stroke="var(--color-pine)"
        stroke-width="1.6"
      />
    </g>
  </g>
  <path
    v-else-if="mark.kind === 'end'"
    :d="`M${mark.x},${mark.y - 13}l13,13l-13,13z`"
    fill="var(--color-pine)"
    aria-hidden="true"
  />
</template>
