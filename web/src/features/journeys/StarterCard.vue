<script setup lang="ts">
import { computed } from 'vue'
import type { StarterView } from '@/api/types'
import Sentence from '@/ui/Sentence.vue'

const props = defineProps<{ starter: StarterView; busy: boolean }>()
const emit = defineEmits<{ begin: [] }>()
const steps = computed(() => props.starter.sheet.rows.filter((row) => row.kind !== 'ARM').length)
</script>

<template>
  <li class="flex flex-col rounded-lg border border-line bg-sunk p-2.5">
    <span class="flex items-center gap-2">
      <b class="min-w-0 flex-1">{{ starter.name }}</b>
      <span class="chip">{{ starter.id }}</span>
    </span>
    <span class="note mt-0.5 flex-1"
      ><Sentence :phrase="starter.sheet.opening.sentence" /> · {{ steps }} steps</span
    >
    <button
      type="button"
      class="button button-small mt-1.5 self-start"
      :disabled="busy"
      @click="emit('begin')"
    >
      Begin from it
    </button>
  </li>
</template>
