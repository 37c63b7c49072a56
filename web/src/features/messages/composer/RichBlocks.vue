<script setup lang="ts">
import type { BlockDocument } from '@/api/types'
import RichWords from './RichWords.vue'

/** A text as it was written; not edited. */
defineProps<{ blocks: BlockDocument[] }>()
</script>

<template>
  <div class="grid gap-1">
    <template v-for="(block, i) in blocks" :key="i">
      <p v-if="block.kind === 'paragraph'"><RichWords :words="block.words" /></p>
      <p
        v-else-if="block.kind === 'heading'"
        class="font-semibold"
        :class="block.level === 1 ? 'text-name' : 'text-lead'"
      >
        <RichWords :words="block.words" />
      </p>
      <component
        :is="block.numbered ? 'ol' : 'ul'"
        v-else
        class="pl-5"
        :class="block.numbered ? 'list-decimal' : 'list-disc'"
      >
        <li v-for="(item, n) in block.items" :key="n"><RichWords :words="item.words" /></li>
      </component>
    </template>
  </div>
</template>
