<script setup lang="ts">
import type { DifferenceLine } from '@/api/types'

/** What two versions say differently, line by line. */
defineProps<{ lines: DifferenceLine[] }>()

const MARKS = {
  SAME: { sign: '', name: 'the same', tone: 'text-ink2' },
  ADDED: { sign: '+', name: 'added', tone: 'bg-vine-soft' },
  REMOVED: { sign: '−', name: 'removed', tone: 'bg-clay-soft line-through' },
  CHANGED: { sign: '≠', name: 'changed', tone: 'bg-marigold-soft' },
  MOVED: { sign: '↕', name: 'moved', tone: 'bg-slate-soft' },
} as const
</script>

<template>
  <ol>
    <li
      v-for="line in lines"
      :key="line.row"
      class="grid grid-cols-[78px_1fr] gap-x-2 px-1 py-0.5"
      :class="MARKS[line.kind].tone"
    >
      <span class="note no-underline">{{ MARKS[line.kind].sign }} {{ MARKS[line.kind].name }}</span>
      <span :style="{ paddingLeft: `${line.depth * 12}px` }">
        <s v-if="line.kind === 'CHANGED'" class="block text-ink2">{{ line.before }}</s>
        {{ line.after ?? line.before }}
      </span>
    </li>
  </ol>
</template>
