<script setup lang="ts">
import type { SearchStand } from '@/api/types'
import { count } from '@/ui/figures'

/** How far a search is, with the best so far. */
defineProps<{ stand: SearchStand }>()
const emit = defineEmits<{ enough: []; cancel: [] }>()
</script>

<template>
  <section class="grid gap-2 border-b border-line2 px-3 py-2" role="status" aria-label="Search">
    <div class="flex items-center gap-3">
      <progress class="h-2 w-56" :value="stand.share" max="1" aria-label="Search" />
      <span class="figure text-note">
        <template v-if="stand.state === 'QUEUED'">Waits for what is computed before it.</template>
        <template v-else>
          {{ stand.best ? `${count(stand.best.tried)} tried` : 'Begins …' }}
          <template v-if="stand.secondsLeft !== null">
            · {{ Math.max(0, stand.secondsLeft).toFixed(0) }} s left
          </template>
        </template>
      </span>
      <button
        type="button"
        class="button button-small ml-auto"
        :disabled="stand.enough || !stand.best"
        @click="emit('enough')"
      >
        {{ stand.enough ? 'Trying it on others …' : 'That is enough' }}
      </button>
      <button type="button" class="button button-small" @click="emit('cancel')">Cancel</button>
    </div>
    <p v-if="stand.best">
      <template v-if="stand.best.changes.length">
        Best so far<template v-if="stand.ahead">, {{ stand.ahead }}</template
        >: {{ stand.best.changes.join('; ') }}.
      </template>
      <template v-else>Nothing is better than today's journey so far.</template>
    </p>
  </section>
</template>
