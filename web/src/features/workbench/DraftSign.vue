<script setup lang="ts">
import { computed } from 'vue'
import type { JourneyView } from '@/api/types'

/** Says of a journey that it is ready and still a draft, so that nobody waits for people in vain. */
const props = defineProps<{ journey: JourneyView }>()
const ready = computed(
  () =>
    props.journey.journey.state === 'DRAFT' &&
    props.journey.journey.body.length > 0 &&
    props.journey.findings.every((one) => one.severity !== 'ERROR'),
)
</script>

<template>
  <span
    v-if="ready"
    class="rounded-md border border-marigold bg-marigold-soft px-2 py-0.5"
    role="note"
  >
    Ready, and still a draft: nobody enters.
    <RouterLink class="underline" :to="{ name: 'workbench', params: { id: journey.id } }"
      >Open it</RouterLink
    >
  </span>
</template>
