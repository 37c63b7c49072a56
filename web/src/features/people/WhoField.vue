<script setup lang="ts">
import { useTemplateRef } from 'vue'
import type { WhoView } from '@/api/types'
import SentenceField from '@/ui/SentenceField.vue'
import { readWho } from './useWho'

type Meant = NonNullable<WhoView['meant']>

/** People as a sentence in the words of a journey's conditions. */
defineProps<{ label: string; placeholder?: string; above?: boolean }>()
const sentence = defineModel<string>({ required: true })
const emit = defineEmits<{ meant: [meant: Meant] }>()

const field = useTemplateRef<{ say: (other: string) => Promise<void> }>('field')

/** Puts another sentence there. */
function say(other: string) {
  return field.value!.say(other)
}

defineExpose({ say })
</script>

<template>
  <SentenceField
    ref="field"
    v-model="sentence"
    :label="label"
    :above="above"
    :placeholder="placeholder ?? 'are on list … and bought anything in the last 30 days'"
    :ask="readWho"
    @meant="(meant: Meant) => emit('meant', meant)"
  >
    <template #default="{ meant }"><slot :meant="meant" /></template>
    <template #note="{ meant }">
      <slot name="note" :meant="meant">
        <template v-if="meant?.news.length"
          >Nobody has to do with the {{ meant.news.join(', the ') }} yet.</template
        >
        <template v-else
          >In the words of a journey’s conditions. <kbd>Tab</kbd> takes the first way to go
          on.</template
        >
      </slot>
    </template>
  </SentenceField>
</template>
