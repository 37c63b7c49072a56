<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { questions } from '@/api/queries'
import MoreButton from '@/ui/MoreButton.vue'

/** Journeys that have been put away; asked for only when somebody wants to see them. */
const props = defineProps<{ find: string; total: number }>()
const emit = defineEmits<{ back: [id: number] }>()

const open = ref(false)
const list = useInfiniteQuery(() => ({
  ...questions.overview(props.find, true),
  enabled: open.value,
}))
const shown = computed(() => list.data.value?.pages.flatMap((page) => page.journeys) ?? [])
</script>

<template>
  <section class="mt-3" aria-label="Archived journeys">
    <button type="button" class="button button-small" :aria-expanded="open" @click="open = !open">
      {{ open ? 'Hide' : 'Show' }} {{ total }} archived
    </button>
    <ul v-if="open" class="panel mt-2">
      <li
        v-for="{ card } in shown"
        :key="card.id"
        class="flex items-center gap-3 border-b border-line2 px-4 py-2 last:border-0"
      >
        <b>{{ card.name }}</b>
        <span class="chip">{{ card.state.toLowerCase() }}</span>
        <button type="button" class="button button-small ml-auto" @click="emit('back', card.id)">
          Bring back
        </button>
      </li>
    </ul>
    <MoreButton
      v-if="open && list.hasNextPage.value"
      :shown="shown.length"
      :total="total"
      :busy="list.isFetchingNextPage.value"
      @more="list.fetchNextPage()"
    />
  </section>
</template>
