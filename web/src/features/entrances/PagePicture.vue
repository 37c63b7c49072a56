<script setup lang="ts">
import { ref } from 'vue'
import ProofSheet from '@/features/messages/composer/ProofSheet.vue'
import ChoiceBar from '@/ui/ChoiceBar.vue'

/** A page of the public as people see it, on a desk and on a phone. */
withDefaults(defineProps<{ html: string | undefined; title: string; name?: string }>(), {
  name: 'The page',
})

const WIDTHS = [
  { key: 'desk', name: 'Desk', width: 620 },
  { key: 'phone', name: 'Phone', width: 340 },
] as const
const size = ref<'desk' | 'phone'>('desk')
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" :aria-label="name">
    <div class="panel-head">
      <h2>{{ name }}</h2>
      <ChoiceBar v-model="size" class="ml-auto" label="How wide" :choices="WIDTHS" />
    </div>
    <div
      class="min-h-0 flex-1 overflow-y-auto bg-cell p-4"
      tabindex="0"
      role="group"
      :aria-label="name"
    >
      <div class="flex justify-center">
        <ProofSheet
          v-if="html"
          :html="html"
          :width="WIDTHS.find((one) => one.key === size)!.width"
          :title="title"
        />
      </div>
    </div>
  </section>
</template>
