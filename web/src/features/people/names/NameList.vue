<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { NameEdit, NameKind, NameView } from '@/api/types'
import DataTable from '@/ui/DataTable.vue'
import { count } from '@/ui/figures'
import type { TableColumn } from '@/ui/table'
import Trouble from '@/ui/Trouble.vue'
import { namesOf, peopleAndUses } from './columns'
import { detail, KINDS, written } from './kinds'
import NamePanel from './NamePanel.vue'

/** The names of one kind: what each is for, who has it, what uses it. */
const props = defineProps<{ kind: NameKind }>()
const words = computed(() => KINDS.find((one) => one.key === props.kind)!)

const names = useQuery(() => questions.registeredNames())
const shown = computed(() => (names.data.value ?? []).filter((one) => one.kind === props.kind))
const keyOf = (one: NameView) => one.id ?? `new ${one.name}`

/** The one that is open: a name that is there, or one that is to be made. */
const open = ref<{ key: string | number; id: number | null; edit: NameEdit } | null>(null)
const chosen = computed(() => shown.value.find((one) => keyOf(one) === open.value?.key) ?? null)

function look(one: NameView) {
  open.value = { key: keyOf(one), id: one.id, edit: written(one) }
}

function make(name = '') {
  open.value = {
    key: 'new',
    id: null,
    edit: {
      kind: props.kind,
      name,
      about: null,
      group: null,
      fieldType: null,
      choices: [],
      category: null,
      priceCents: null,
    },
  }
}

function saved(one: NameView | null) {
  if (one) look(one)
  else open.value = null
}

const COLUMNS = computed<TableColumn<NameView>[]>(() => [
  { id: 'name', head: 'name', names: true, headClass: 'px-3', cellClass: 'max-w-60 truncate px-3' },
  ...(words.value.detail
    ? [
        {
          id: 'detail',
          head: words.value.detail,
          headClass: 'px-2 text-left',
          cellClass: 'px-2 text-left',
        },
      ]
    : []),
  ...peopleAndUses<NameView>(),
])

defineExpose({ make })
</script>

<template>
  <Trouble v-if="names.error.value" :text="reasonOf(names.error.value)" />
  <div class="flex min-h-0 flex-1 gap-3">
    <section class="panel flex min-w-0 flex-1 flex-col overflow-hidden" :aria-label="words.name">
      <DataTable
        v-if="shown.length"
        :label="words.name"
        :columns="COLUMNS"
        :rows="shown"
        :key-of="keyOf"
        :chosen="open?.key ?? null"
      >
        <template #cell-name="{ row: one }">
          <button
            type="button"
            class="min-h-6 max-w-full truncate text-left font-semibold hover:underline"
            :aria-pressed="open?.key === keyOf(one)"
            @click="look(one)"
          >
            {{ one.name }}
          </button>
          <span v-if="one.about" class="note ml-2">{{ one.about }}</span>
        </template>
        <template #cell-detail="{ row: one }">
          <span class="font-sans">{{ detail(one) }}</span>
        </template>
        <template #cell-people="{ row: one }">
          <button
            v-if="one.id === null"
            type="button"
            class="button button-small font-sans"
            :aria-label="`Make ${one.name}`"
            title="It is used and not registered yet"
            @click="make(one.name)"
          >
            Make it
          </button>
          <template v-else>{{ count(one.people) }}</template>
        </template>
        <template #cell-used="{ row: one }">
          <span class="font-sans" :title="namesOf(one.usedBy)">{{
            namesOf(one.usedBy) || '–'
          }}</span>
        </template>
      </DataTable>
      <p v-else-if="names.data.value" class="p-6 text-ink2">
        There is no {{ words.one }} yet.
        <button type="button" class="font-semibold text-ink underline" @click="make()">
          Make one</button
        >, and journeys, messages and people can use it.
      </p>
    </section>
    <NamePanel
      v-if="open"
      :id="open.id"
      :key="open.key"
      class="w-96 shrink-0"
      :given="open.edit"
      :view="chosen"
      :others="shown"
      @saved="saved"
      @cancel="open = null"
    />
  </div>
</template>
