<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { questions } from '@/api/queries'
import type { HouseStyleDocument } from '@/api/types'
import ProofSheet from '../composer/ProofSheet.vue'

/** A letter in a style that is being chosen. */
const props = defineProps<{ styleOf: HouseStyleDocument }>()
const dark = ref(false)
const asked = refDebounced(
  computed(() => JSON.stringify(props.styleOf)),
  80,
)
const sample = useQuery(
  computed(() => questions.styleSample(JSON.parse(asked.value) as HouseStyleDocument, dark.value)),
)
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="A letter in this style">
    <div class="panel-head">
      <h2>A letter in this style</h2>
      <label class="ml-auto flex items-center gap-1.5"
        ><input v-model="dark" type="checkbox" /> dark</label
      >
    </div>
    <div
      class="min-h-0 flex-1 overflow-y-auto bg-cell p-4"
      tabindex="0"
      role="group"
      aria-label="The letter"
    >
      <div v-if="sample.data.value" class="flex justify-center">
        <ProofSheet
          :html="sample.data.value.html"
          :width="styleOf.width + 60"
          title="A letter in this style"
        />
      </div>
    </div>
  </section>
</template>
