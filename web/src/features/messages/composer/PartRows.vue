<script setup lang="ts">
import type { PartDocument } from '@/api/types'
import PartRow from './PartRow.vue'

/** Parts, one below the other. */
defineProps<{ parts: PartDocument[]; depth: number; says: Map<string, string> }>()
</script>

<template>
  <PartRow v-for="part in parts" :key="part.id" :part="part" :depth="depth" :says="says" />
</template>
