<script setup lang="ts">
import { useStorage } from '@vueuse/core'
import { computed } from 'vue'
import type { JourneyReport } from '@/api/types'

/** The verdict, where the journey is weak and what usually helps; how it went, for those who ask. */
const props = defineProps<{ report: JourneyReport }>()
const emit = defineEmits<{ select: [step: string] }>()
/** What is not told above already. */
const more = computed(() =>
  props.report.summary
    .slice(1)
    .filter((one) => !props.report.highlights.some((told) => told.sentence === one)),
)
const open = useStorage('dry-run-summary', false)
</script>

<template>
  <section
    class="panel max-h-[40%] shrink-0 overflow-y-auto px-3.5 py-2 text-plain"
    aria-label="Summary"
  >
    <p class="flex items-baseline gap-2">
      <span class="flex-1 font-semibold">{{ report.summary[0] }}</span>
      <button
        v-if="report.summary.length > 1"
        type="button"
        class="button button-small shrink-0"
        :aria-expanded="open"
        @click="open = !open"
      >
        {{ open ? 'Less' : 'How it went' }}
      </button>
    </p>
    <ul>
      <li v-for="one in report.highlights" :key="one.kind" class="flex items-baseline gap-2">
        <span>{{ one.sentence }}</span>
        <button
          v-if="one.step"
          type="button"
          class="min-h-6 shrink-0 rounded px-1 underline"
          :aria-label="`Show: ${one.sentence}`"
          @click="emit('select', one.step)"
        >
          show
        </button>
      </li>
    </ul>
    <p v-if="open" class="mt-1 text-ink2">{{ more.join(' ') }}</p>
  </section>
</template>
