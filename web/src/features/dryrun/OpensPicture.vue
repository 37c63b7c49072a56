<script setup lang="ts">
import { refDebounced } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import type { OpensOfTen } from '@/api/types'
import { percent } from '@/ui/figures'

/** What keen and spread mean: how many of ten emails such people open. */
const props = defineProps<{ keenness: number; spread: number }>()

const opens = shallowRef<OpensOfTen | null>(null)
const wanted = refDebounced(
  computed(() => ({ keenness: props.keenness, spread: props.spread })),
  80,
)
watch(
  wanted,
  async (query) => {
    try {
      opens.value = await answerOf(api.GET('/api/opens-of-ten', { params: { query } }))
    } catch {
      opens.value = null
    }
  },
  { immediate: true },
)
const highest = computed(() => Math.max(0.01, ...(opens.value?.shares ?? [])))
</script>

<template>
  <figure v-if="opens">
    <div class="flex h-10 items-end gap-[3px]" aria-hidden="true">
      <span
        v-for="(share, k) in opens.shares"
        :key="k"
        class="flex-1 rounded-t-[2px] bg-vine"
        :style="{ height: `${Math.max(1, (share / highest) * 100)}%` }"
        :title="`${k} of ten: ${percent(share, 1)} of them`"
      />
    </div>
    <div class="figure flex gap-[3px] border-t border-line text-center text-[10px] text-ink2">
      <span v-for="k in 11" :key="k" class="flex-1">{{ k - 1 }}</span>
    </div>
    <figcaption class="note mt-0.5 text-[11.5px]">{{ opens.sentence }}</figcaption>
  </figure>
</template>
