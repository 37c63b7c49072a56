<script setup lang="ts">
import type { Label } from './picture'

defineProps<{ label: Label; selected: boolean }>()
</script>

<template>
  <g :transform="`translate(${label.x} ${label.y})`" class="pointer-events-none" data-label>
    <template v-if="label.kind === 'post'">
      <text :x="label.width / 2" y="12" text-anchor="middle" font-size="12" font-weight="600">
        {{ label.lines[0] }}
      </text>
      <text
        :x="label.width / 2"
        y="26"
        text-anchor="middle"
        font-size="12"
        fill="var(--color-ink3)"
      >
        {{ label.figures[0] }}
      </text>
    </template>
    <template v-else-if="label.kind === 'question' || label.kind === 'end'">
      <rect
        :width="label.width"
        :height="label.height"
        rx="5"
        :fill="label.kind === 'end' ? 'var(--color-marigold-soft)' : 'var(--color-panel)'"
        :stroke="selected || label.kind === 'end' ? 'var(--color-marigold)' : 'var(--color-line)'"
      />
      <text :x="label.width / 2" y="12.5" text-anchor="middle" font-size="12">
        {{ label.lines[0] }}
      </text>
    </template>
    <template v-else>
      <text
        v-for="(line, i) in label.lines"
        :key="i"
        :y="11 + i * 14"
        font-size="12"
        :font-weight="label.kind === 'email' ? 600 : 400"
        :fill="label.kind === 'email' ? 'var(--color-ink)' : 'var(--color-ink2)'"
      >
        {{ line }}
      </text>
      <text
        v-for="(line, i) in label.figures"
        :key="line"
        :y="11 + (label.lines.length + i) * 14"
        font-size="12"
        class="figure"
        fill="var(--color-ink2)"
      >
        {{ line }}
      </text>
    </template>
  </g>
</template>
