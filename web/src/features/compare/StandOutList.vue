<script setup lang="ts">
import type { StandOut } from '@/api/types'

/** What stands out, each leading to what it speaks of. */
defineProps<{ found: StandOut[] }>()
const emit = defineEmits<{ show: [one: StandOut] }>()
</script>

<template>
  <ol class="min-h-0 flex-1 overflow-y-auto" tabindex="0" aria-label="What stands out">
    <li
      v-for="(one, i) in found"
      :key="i"
      class="grid grid-cols-[20px_1fr_auto] items-start gap-2 border-b border-line2 px-3 py-2"
    >
      <b class="figure text-clay">{{ i + 1 }}</b>
      <span>{{ one.text }}</span>
      <button
        type="button"
        class="button button-small"
        :aria-label="`Show what ${i + 1} speaks of`"
        @click="emit('show', one)"
      >
        show
      </button>
    </li>
    <li v-if="found.length === 0" class="p-4 text-ink2">
      Nothing is out of the ordinary by the rules that look.
    </li>
  </ol>
</template>
