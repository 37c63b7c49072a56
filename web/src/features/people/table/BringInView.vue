<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { questions, queryClient } from '@/api/queries'
import type { TableView } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import TablePlan from './TablePlan.vue'

/** A table of people is handed in, looked at and brought in; nothing is kept before that is said. */
const route = useRoute()
const router = useRouter()
const id = computed(() => Number(route.query.table) || null)
const over = ref(false)
const busy = ref(false)
const failure = ref<string | null>(null)
const table = useQuery(() => ({ ...questions.table(id.value ?? 0), enabled: id.value !== null }))
const trouble = computed(
  () => failure.value ?? (id.value && table.error.value ? reasonOf(table.error.value) : null),
)

async function handIn(file: File | undefined) {
  if (!file) return
  busy.value = true
  failure.value = null
  try {
    const view = await answerOf(
      api.POST('/api/people-tables', {
        params: { query: { name: file.name } },
        body: file as unknown as string,
        bodySerializer: (body: unknown) => body as Blob,
        headers: { 'Content-Type': 'text/csv' },
      }),
    )
    show(view)
    await router.replace({ query: { table: view.id } })
  } catch (reason) {
    failure.value = reasonOf(reason)
  } finally {
    busy.value = false
  }
}

function show(view: TableView) {
  queryClient.setQueryData(questions.table(view.id).queryKey, view)
}

function dropped(event: DragEvent) {
  over.value = false
  void handIn(event.dataTransfer?.files[0])
}

/** What was copied from a spreadsheet comes with tabs between its columns; into a field it goes as it is. */
function pasted(event: ClipboardEvent) {
  if ((event.target as Element).matches('input, textarea, select')) return
  const text = event.clipboardData?.getData('text/plain')
  const file = event.clipboardData?.files[0]
  if (file) void handIn(file)
  else if (text?.includes('@')) void handIn(new File([text], 'pasted table', { type: 'text/csv' }))
}

useTabTitle(() => 'Bring in a table')
</script>

<template>
  <main class="flex flex-col gap-3 px-3 pb-3" @paste="pasted">
    <header class="flex shrink-0 items-center gap-3 px-1 pt-3">
      <h1 class="text-page">Bring in a table</h1>
      <span v-if="table.data.value && id" class="note">{{ table.data.value.name }}</span>
      <RouterLink class="button ml-auto" :to="{ name: 'people' }">Back to people</RouterLink>
    </header>
    <Trouble v-if="trouble" :text="trouble" />
    <TablePlan
      v-if="id && table.data.value"
      :key="id"
      :table="table.data.value"
      class="min-h-0 flex-1"
      @read="show"
      @another="router.replace({ query: {} })"
      @begun="router.push({ name: 'people' })"
    />
    <section
      v-else
      class="panel flex flex-1 flex-col items-center justify-center gap-3 p-6 text-center"
      :class="{ 'bg-marigold-soft!': over }"
      aria-label="Hand in a table"
      @dragover.prevent="over = true"
      @dragleave="over = false"
      @drop.prevent="dropped"
    >
      <p class="text-lead">Drop a table here, paste one, or choose a file.</p>
      <p class="max-w-140 text-ink2">
        A row for each person and a column with their addresses: CSV as any spreadsheet saves it,
        with commas, semicolons or tabs, in any usual encoding. It is looked at first; nobody is
        brought in before you say so, and all of it can be taken back.
      </p>
      <label class="button button-main focus-within:outline-2">
        {{ busy ? 'Reading…' : 'Choose a file' }}
        <input
          type="file"
          class="sr-only"
          accept=".csv,.tsv,.txt,text/csv,text/tab-separated-values,text/plain"
          :disabled="busy"
          @change="handIn(($event.target as HTMLInputElement).files?.[0])"
        />
      </label>
    </section>
  </main>
</template>
