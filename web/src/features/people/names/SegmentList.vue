<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { SegmentLine } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { count } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'
import Trouble from '@/ui/Trouble.vue'
import { namesOf, peopleAndUses } from './columns'
import SegmentPanel from './SegmentPanel.vue'

/** The segments: whom each means, how many they are, what uses it. */
const segments = useQuery(questions.peopleSegments())
const open = ref<string | null>(null)
const chosen = computed(() => segments.data.value?.find((one) => one.name === open.value) ?? null)

const COLUMNS: TableColumn<SegmentLine>[] = [
  { id: 'name', head: 'name', names: true, headClass: 'px-3', cellClass: 'max-w-50 truncate px-3' },
  {
    id: 'says',
    head: 'all who',
    headClass: 'px-2 text-left',
    cellClass: 'max-w-60 truncate px-2 xl:max-w-90 text-left',
  },
  ...peopleAndUses<SegmentLine>(),
]
</script>

<template>
  <Trouble v-if="segments.error.value" :text="reasonOf(segments.error.value)" />
  <div class="flex min-h-0 flex-1 gap-3">
    <section class="panel flex min-w-0 flex-1 flex-col overflow-hidden" aria-label="Segments">
      <DataTable
        v-if="segments.data.value?.length"
        label="Segments"
        :columns="COLUMNS"
        :rows="segments.data.value"
        :key-of="(one) => one.name"
        :chosen="open"
      >
        <template #cell-name="{ row: one }">
          <button
            type="button"
            class="min-h-6 max-w-full truncate text-left font-semibold hover:underline"
            :aria-pressed="open === one.name"
            @click="open = one.name"
          >
            {{ one.name }}
          </button>
        </template>
        <template #cell-says="{ row: one }">
          <span class="font-sans" :title="one.says">{{ one.says }}</span>
        </template>
        <template #cell-people="{ row: one }">{{ count(one.people) }}</template>
        <template #cell-used="{ row: one }">
          <span class="font-sans" :title="namesOf(one.usedBy)">{{
            namesOf(one.usedBy) || '–'
          }}</span>
        </template>
      </DataTable>
      <p v-else-if="segments.data.value" class="p-6 text-ink2">
        There is no segment yet.
        <RouterLink class="font-semibold text-ink underline" :to="{ name: 'people' }"
          >Find people by a sentence</RouterLink
        >, and keep it as a segment there: journeys can then ask who is in it.
      </p>
    </section>
    <SegmentPanel
      v-if="chosen"
      :key="`${chosen.name} ${chosen.version}`"
      class="w-96 shrink-0"
      :segment="chosen"
      @gone="open = null"
      @cancel="open = null"
    />
  </div>
</template>
