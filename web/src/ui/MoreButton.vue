<script setup lang="ts">
import { useIntersectionObserver } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { count } from './figures'

/** The end of a list of which more can be had: comes by itself when one gets there. */
const props = defineProps<{ shown: number; total: number; busy: boolean }>()
const emit = defineEmits<{ more: [] }>()

const end = useTemplateRef<HTMLElement>('end')
const words = computed(() =>
  props.busy ? 'Fetching more…' : `Show more: ${count(props.total - props.shown)} are left`,
)

useIntersectionObserver(end, ([entry]) => {
  if (entry?.isIntersecting && !props.busy) emit('more')
})
</script>

<template>
  <p ref="end" class="border-t border-line2 px-4 py-2 text-center">
    <button type="button" class="button button-small" :disabled="busy" @click="emit('more')">
      {{ words }}
    </button>
  </p>
</template>
