<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import { useTabTitle } from '@/ui/useTabTitle'
import EntranceEditor from './EntranceEditor.vue'
import EntrancesFrame from './EntrancesFrame.vue'

/** The forms by which people come in; one of them is open. */
const props = defineProps<{ id: number | null }>()

const { data: entrances } = useQuery(questions.entrances())
const shown = computed(
  () => entrances.value?.find((one) => one.id === props.id) ?? entrances.value?.[0] ?? null,
)

useTabTitle(() => shown.value?.entrance.name ?? 'Entrances')
</script>

<template>
  <EntrancesFrame :shown="shown?.id">
    <EntranceEditor v-if="shown" :key="shown.id" :entrance="shown" />
    <p v-else-if="entrances" class="panel self-start p-6 text-ink2">
      There is no entrance yet. Give a form a name: it gets a page of its own on which people sign
      up, and journeys can start with it.
    </p>
  </EntrancesFrame>
</template>
