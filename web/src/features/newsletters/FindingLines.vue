<script setup lang="ts">
import { computed, watch } from 'vue'
import type { NewsletterFault } from '@/api/types'

/** What was found in something that goes to many; more than the usual number is meant, or not. */
const props = defineProps<{ findings: NewsletterFault[]; asks: boolean }>()
const meansIt = defineModel<boolean>({ required: true })

const many = computed(() => props.findings.find((one) => one.code === 'many'))
/* So many are meant, not more of them. */
watch(
  () => many.value?.sentence,
  () => (meansIt.value = false),
)
</script>

<template>
  <ul v-if="findings.length" class="grid gap-1" aria-label="Findings">
    <li
      v-for="one in findings"
      :key="one.code + one.place"
      class="warning"
      :class="{ 'font-semibold': one.severity === 'ERROR' }"
    >
      {{ one.sentence }}
    </li>
  </ul>
  <label v-if="asks && many" class="flex items-center gap-2">
    <input v-model="meansIt" type="checkbox" /> I mean so many
  </label>
</template>
