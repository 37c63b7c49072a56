<script setup lang="ts">
import type { Share } from '@/api/types'
import { interval, margin, points } from '@/ui/figures'

/** A share in a table: its points, how far off it may be, and a bar; nothing if there is none. */
defineProps<{ share: Share | null; strong: boolean }>()
</script>

<template>
  <span v-if="share" class="block" :title="interval(share)">
    <b :class="{ 'font-normal': !strong }">{{ points(share.value, 1) }}</b>
    <span class="ml-0.5 text-micro text-ink2">{{ margin(share) }}</span>
    <span class="mt-px block h-0.5 rounded-full bg-line2" aria-hidden="true">
      <span
        class="block h-full rounded-full bg-vine opacity-70"
        :style="{ width: `${(share.value ?? 0) * 100}%` }"
      />
    </span>
  </span>
</template>
