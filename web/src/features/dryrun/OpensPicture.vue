<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import { percent } from '@/ui/figures'

/** What keen and spread mean: how many of ten emails such people open. */
const props = defineProps<{ keenness: number; spread: number }>()

const wanted = refDebounced(
  computed(() => [props.keenness, props.spread] as const),
  80,
)
const { data: opens } = useQuery(() => questions.opensOfTen(...wanted.value))
const highest = computed(() => Math.max(0.01, ...(opens.value?.shares ?? [])))
</script>

<template>
  <figure v-if="opens">
    <div class="flex h-10 items-end gap-0.75" aria-hidden="true">
      <span
        v-for="(share, k) in opens.shares"
        :key="k"
        class="flex-1 rounded-t-xs bg-vine"
        :style="{ height: `${Math.max(1, (share / highest) * 100)}%` }"
        :title="`${k} of ten: ${percent(share, 1)} of them`"
      />
    </div>
    <div class="figure flex gap-0.75 border-t border-line text-center text-micro text-ink2">
      <span v-for="k in 11" :key="k" class="flex-1">{{ k - 1 }}</span>
    </div>
    <figcaption class="note mt-0.5 text-fine">{{ opens.sentence }}</figcaption>
  </figure>
</template>
