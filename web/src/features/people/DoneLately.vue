<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { isOver, outdated, questions } from '@/api/queries'
import ActLine from './ActLine.vue'

/** What was done to many people lately; the last thing is always in sight. */
const { data: acts } = useQuery(() => questions.acts())
const all = ref(false)
const shown = computed(() => (all.value ? acts.value : acts.value?.slice(0, 1)) ?? [])
const underWay = computed(() => acts.value?.some((act) => !isOver(act)) ?? false)

// What it does shows in the table while it does it, and once it is through.
watch(
  () => acts.value?.map((act) => `${act.id} ${act.state} ${act.done}`).join(),
  () => {
    void outdated('people', 'found')
    void outdated('people', 'one')
    void outdated('people', 'names')
  },
)
</script>

<template>
  <section v-if="shown.length" class="border-t border-line px-3 py-1" aria-label="Done lately">
    <ul
      class="max-h-48 overflow-y-auto"
      tabindex="0"
      aria-label="What was done"
      :aria-busy="underWay"
    >
      <ActLine v-for="act in shown" :key="act.id" :act="act" />
    </ul>
    <button
      v-if="acts && acts.length > 1"
      type="button"
      class="my-1 min-h-6 text-note underline"
      :aria-expanded="all"
      @click="all = !all"
    >
      {{ all ? 'Only the last' : `What was done before: ${acts.length - 1}` }}
    </button>
  </section>
</template>
