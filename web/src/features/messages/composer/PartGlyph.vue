<script setup lang="ts">
import {
  Clapperboard,
  Code,
  Columns2,
  Image,
  Link,
  MoveVertical,
  Minus,
  MousePointerClick,
  Newspaper,
  Pilcrow,
  Split,
  ShoppingBasket,
  Ticket,
  Timer,
} from '@lucide/vue'
import type { Component } from 'vue'
import type { PartDocument } from '@/api/types'

defineProps<{ kind: PartDocument['kind'] }>()

const GLYPHS: Record<PartDocument['kind'], Component> = {
  prose: Pilcrow,
  button: MousePointerClick,
  picture: Image,
  columns: Columns2,
  passage: Split,
  rule: Minus,
  space: MoveVertical,
  products: ShoppingBasket,
  voucher: Ticket,
  news: Newspaper,
  countdown: Timer,
  film: Clapperboard,
  linkRow: Link,
  ownHtml: Code,
}
</script>

<template>
  <component :is="GLYPHS[kind]" class="size-3.5 shrink-0" aria-hidden="true" />
</template>
