<script setup lang="ts">
import { computed } from 'vue'
import type { PartDocument } from '@/api/types'
import { day } from '@/ui/figures'
import RichBlocks from './RichBlocks.vue'
import RichWords from './RichWords.vue'
import { targetWords } from './words'

/** What a part says, short; what is inside of it stands below it. */
const props = defineProps<{ part: PartDocument; says: string | null }>()

const counted = computed(() => {
  const { part } = props
  return part.kind === 'button' && part.link.name ? ` · counted as “${part.link.name}”` : ''
})
</script>

<template>
  <RichBlocks v-if="part.kind === 'prose'" :blocks="part.blocks" />
  <div v-else-if="part.kind === 'button'">
    <b><RichWords :words="part.words.words" /></b>
    <p class="note" :class="{ 'text-clay!': !part.link.to }">
      {{ targetWords(part.link.to) }}{{ counted }}
    </p>
  </div>
  <p v-else-if="part.kind === 'picture' || part.kind === 'film'">
    <span
      class="border-b border-dotted border-ink3"
      :class="{ 'text-clay': !(part.kind === 'picture' ? part.file : part.picture) }"
      >{{ (part.kind === 'picture' ? part.file : part.picture) ?? 'no picture yet' }}</span
    >
    <span class="ml-2 text-ink2">{{ part.words ? `“${part.words}”` : 'without words' }}</span>
    <span v-if="part.kind === 'film'" class="note block">{{ targetWords(part.link.to) }}</span>
  </p>
  <p v-else-if="part.kind === 'passage'" class="font-semibold text-plum">
    {{ says?.replace(/^passage/, 'only') ?? 'only for some' }}
  </p>
  <p v-else-if="part.kind === 'voucher'">
    <b>{{ part.code || 'without a code' }}</b>
    <span class="ml-2 text-ink2"
      >{{ part.worth }}{{ part.until ? ` until ${day(part.until)}` : '' }}</span
    >
  </p>
  <p v-else-if="part.kind === 'space'" class="text-ink2">{{ part.height }} px</p>
  <p v-else-if="part.kind === 'rule'" class="text-ink2">a thin line</p>
  <p v-else-if="part.kind === 'columns'" class="text-ink2">next to each other</p>
  <p v-else-if="part.kind === 'ownHtml'" class="figure truncate text-note text-ink2">
    {{ part.html || 'nothing yet' }}
  </p>
  <p v-else class="text-ink2">
    {{ says?.replace(/^(products|news|countdown|links) ?/, '') || '…' }}
  </p>
</template>
