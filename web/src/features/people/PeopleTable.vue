<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import type { PersonLine } from '@/api/types'
import ColumnChooser from '@/ui/ColumnChooser.vue'
import DataTable from '@/ui/DataTable.vue'
import MoreButton from '@/ui/MoreButton.vue'
import { dayOf, MAILING } from './mailing'
import { usePeopleColumns } from './usePeopleColumns'
import { useRowKeys } from './useRowKeys'

/** Those who are found, a row each: looked at, chosen, gone through with the keys. */
const props = defineProps<{ people: PersonLine[]; total: number; more: boolean; busy: boolean }>()
const emit = defineEmits<{ more: [] }>()
const picked = defineModel<Set<number>>('picked', { required: true })
const chosen = defineModel<number | null>('chosen', { required: true })

const ROW_PIXELS = 32
const { chosen: columnKeys, offered, columns, shownFields } = usePeopleColumns()
const cellOf = (key: string) => `cell-${key}` as const

const table = useTemplateRef<HTMLElement>('table')
const { onKey } = useRowKeys(table, () => props.people.map((one) => one.id), ROW_PIXELS)

const allPicked = computed(
  () => props.people.length > 0 && props.people.every((one) => picked.value.has(one.id)),
)

function pick(id: number) {
  const next = new Set(picked.value)
  if (!next.delete(id)) next.add(id)
  picked.value = next
}

function pickAll() {
  picked.value = new Set(allPicked.value ? [] : props.people.map((one) => one.id))
}
</script>

<template>
  <div ref="table" class="flex flex-col" @keydown="onKey">
    <DataTable
      label="People"
      growing
      :columns="columns"
      :rows="people"
      :key-of="(person) => person.id"
      :chosen="chosen"
    >
      <template #head-pick>
        <input
          type="checkbox"
          class="block"
          :checked="allPicked"
          :aria-label="`Choose the ${people.length} shown`"
          @change="pickAll"
        />
      </template>
      <template #head-columns>
        <ColumnChooser v-model="columnKeys" :columns="offered" />
      </template>
      <template #cell-pick="{ row: person }">
        <input
          type="checkbox"
          class="block"
          :checked="picked.has(person.id)"
          :aria-label="`Choose ${person.name ?? person.address}`"
          @change="pick(person.id)"
        />
      </template>
      <template #cell-name="{ row: person }">
        <button
          type="button"
          class="min-h-6 max-w-full truncate text-left hover:underline"
          :class="person.name ? 'font-semibold' : 'text-ink2'"
          :aria-pressed="person.id === chosen"
          @click="chosen = person.id"
        >
          {{ person.name ?? 'no name' }}
        </button>
      </template>
      <template #cell-address="{ row: person }">{{ person.address }}</template>
      <template #cell-labels="{ row: person }">
        <span class="flex gap-1.5 font-sans">
          <span
            v-for="name in person.lists"
            :key="`l${name}`"
            class="chip border-slate-soft bg-slate-soft text-slate"
            >{{ name }}</span
          >
          <span
            v-for="name in person.tags"
            :key="`t${name}`"
            class="chip border-plum-soft bg-plum-soft text-plum"
            >{{ name }}</span
          >
        </span>
      </template>
      <template #cell-mailing="{ row: person }">
        <span class="font-sans" :class="{ 'text-clay': person.mailing !== 'MAY_BE_MAILED' }">{{
          MAILING[person.mailing]
        }}</span>
      </template>
      <template #cell-phone="{ row: person }">{{ person.phone ?? '–' }}</template>
      <template #cell-zone="{ row: person }">
        <span class="font-sans">{{ person.zone }}</span>
      </template>
      <template #cell-source="{ row: person }">
        <span class="font-sans" :title="person.source">{{ person.source }}</span>
      </template>
      <template
        v-for="field in shownFields"
        :key="field.key"
        #[cellOf(field.key)]="{ row: person }"
      >
        {{ person.fields[field.head] ?? '–' }}
      </template>
      <template #cell-came="{ row: person }">{{ dayOf(person.cameAt) }}</template>
      <template #below>
        <MoreButton
          v-if="more"
          :shown="people.length"
          :total="total"
          :busy="busy"
          @more="emit('more')"
        />
      </template>
    </DataTable>
  </div>
</template>
