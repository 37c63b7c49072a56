<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { answerOf, api, faultsOf, reasonOf, Refused } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { ColumnPlan, TableOrder, TableView } from '@/api/types'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import ColumnRow from './ColumnRow.vue'

/** How a table is read and what holds for its people; what that would do is said all the while. */
const props = defineProps<{ table: TableView }>()
const emit = defineEmits<{ read: [table: TableView]; another: []; begun: [] }>()

const DELIMITERS = [
  { value: ',', name: 'commas' },
  { value: ';', name: 'semicolons' },
  { value: '\t', name: 'tabs' },
  { value: '|', name: 'bars' },
]

/** What tells at its place what is wrong with it. */
const FIELDS = ['columns', 'agreement', 'agreed', 'lists', 'tags', 'zone', 'country']

const columns = ref<ColumnPlan[]>([])
const lists = ref('')
const tags = ref('')
const country = ref('')
const zone = ref('')
const { data: home } = useQuery(questions.account())
watch(home, (now) => now && (zone.value ||= now.account.zone), { immediate: true })
const known = ref<TableOrder['known']>('BRING_UP_TO_DATE')
const agreement = ref<TableOrder['agreement']>(null)
const agreed = ref('')
/** Whether people enter open journeys by what they are put on and tagged with. */
const startsJourneys = ref(false)
const busy = ref(false)
const failure = ref<string | null>(null)
const faults = ref<{ place: string; sentence: string }[]>([])

watch(
  () => props.table,
  (table) => (columns.value = table.columns.map((column) => ({ ...column.plan }))),
  { immediate: true },
)

const split = (names: string) =>
  names
    .split(/[,;]/)
    .map((name) => name.trim())
    .filter(Boolean)

const order = computed<TableOrder>(() => ({
  columns: columns.value,
  country: country.value.trim().toUpperCase() || null,
  known: known.value,
  lists: split(lists.value),
  tags: split(tags.value),
  agreement: agreement.value,
  agreed: agreed.value || null,
  zone: zone.value,
  startsJourneys: startsJourneys.value,
}))
/** Only what the rows are read by: typing a reason does not read the table again. */
const labels = computed(() =>
  startsJourneys.value ? { lists: order.value.lists, tags: order.value.tags } : null,
)
const readBy = computed(() =>
  JSON.stringify([columns.value, order.value.country, known.value, labels.value]),
)
const settled = refDebounced(readBy, 250)
const check = useQuery(() => {
  void settled.value
  return {
    ...questions.tableCheck(props.table.id, {
      ...order.value,
      lists: labels.value?.lists ?? [],
      tags: labels.value?.tags ?? [],
      agreement: null,
      agreed: null,
      zone: 'UTC',
    }),
    enabled: settled.value === readBy.value,
  }
})

const checkFaults = computed(() => {
  const reason = check.error.value
  return reason instanceof Refused ? (reason.problem.problems ?? []) : []
})
/** Whether what it will do is not said yet: nobody is brought in before. */
const unsaid = computed(
  () => settled.value !== readBy.value || check.isFetching.value || check.isPlaceholderData.value,
)
/** What is missing at a column: what the reading refuses, before what it only asks. */
function faultOf(index: number): string | null {
  const all = [...faults.value, ...checkFaults.value]
  return all.find((one) => one.place === `/columns/${index}`)?.sentence ?? null
}
const faultOfAll = computed(
  () =>
    [...faults.value, ...checkFaults.value].find((one) => one.place === '/columns')?.sentence ??
    null,
)
const faultAt = computed(() => {
  const by: Record<string, string> = {}
  for (const one of [...faults.value, ...checkFaults.value]) {
    by[one.place.split('/')[1] ?? ''] ??= one.sentence
  }
  return by
})
const trouble = computed(() => {
  if (failure.value) return failure.value
  const reason = check.error.value
  return reason && checkFaults.value.length === 0 ? reasonOf(reason) : null
})

async function readAs(form: TableView['form']) {
  failure.value = null
  try {
    const view = await answerOf(
      api.PUT('/api/people-tables/{id}/form', {
        params: { path: { id: props.table.id } },
        body: form,
      }),
    )
    emit('read', view)
    await outdated('tables', props.table.id, 'check')
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}

async function bringIn() {
  busy.value = true
  failure.value = null
  faults.value = []
  try {
    await answerOf(
      api.POST('/api/people-tables/{id}/acts', {
        params: { path: { id: props.table.id } },
        body: order.value,
      }),
    )
    await outdated('people')
    emit('begun')
  } catch (reason) {
    faults.value = reason instanceof Refused ? (reason.problem.problems ?? []) : []
    failure.value = faultsOf(reason, FIELDS).elsewhere
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <div class="flex gap-3">
    <section class="panel flex min-w-0 flex-1 flex-col" aria-label="Columns">
      <div class="flex flex-wrap items-center gap-x-3 gap-y-1.5 border-b border-line px-3 py-2">
        <b class="font-semibold">{{ count(table.rows) }} rows</b>
        <label class="flex items-center gap-1.5">
          <span class="note">parted by</span>
          <select
            class="field w-30!"
            :value="table.form.delimiter"
            @change="
              readAs({ ...table.form, delimiter: ($event.target as HTMLSelectElement).value })
            "
          >
            <option v-for="one in DELIMITERS" :key="one.value" :value="one.value">
              {{ one.name }}
            </option>
          </select>
        </label>
        <label class="flex items-center gap-1.5">
          <span class="note">encoding</span>
          <select
            class="field w-36!"
            :value="table.form.encoding"
            @change="
              readAs({ ...table.form, encoding: ($event.target as HTMLSelectElement).value })
            "
          >
            <option v-for="one in table.encodings" :key="one" :value="one">{{ one }}</option>
          </select>
        </label>
        <label class="flex items-center gap-1.5">
          <input
            type="checkbox"
            :checked="table.form.header"
            @change="readAs({ ...table.form, header: ($event.target as HTMLInputElement).checked })"
          />
          <span>the first row names the columns</span>
        </label>
        <button type="button" class="button button-small ml-auto" @click="emit('another')">
          Another table
        </button>
      </div>
      <p v-if="faultOfAll" class="border-b border-line px-3 py-2 text-clay" role="alert">
        {{ faultOfAll }}
      </p>
      <div class="min-h-0 flex-1 overflow-auto">
        <table class="w-full">
          <thead class="sticky top-0 bg-panel text-note text-ink2">
            <tr class="h-8 border-b border-line text-left">
              <th class="px-3 font-medium">column</th>
              <th class="px-2 font-medium">what stands in it</th>
              <th class="px-2 font-medium">is taken for</th>
            </tr>
          </thead>
          <tbody>
            <ColumnRow
              v-for="(column, i) in table.columns"
              :key="i"
              v-model="columns[i]!"
              :column="column"
              :number="i + 1"
              :fault="faultOf(i)"
            />
          </tbody>
        </table>
      </div>
    </section>
    <form
      class="panel flex w-96 shrink-0 flex-col gap-2.5 overflow-y-auto px-3 py-2.5"
      aria-label="All of them"
      novalidate
      @submit.prevent="bringIn"
    >
      <fieldset>
        <legend class="label">Did these people agree to email?</legend>
        <label class="flex items-center gap-2 py-0.5">
          <input v-model="agreement" type="radio" name="agreement" value="THEY_AGREED" />
          Yes, and this is how it is known:
        </label>
        <input
          v-model="agreed"
          class="field my-1"
          maxlength="200"
          aria-label="How it is known"
          placeholder="such as: signed at the stand in May"
          :disabled="agreement !== 'THEY_AGREED'"
          :aria-invalid="!!faultAt.agreed"
        />
        <label class="flex items-center gap-2 py-0.5">
          <input v-model="agreement" type="radio" name="agreement" value="NOT_YET" />
          Not yet: nothing is sent to them before they do
        </label>
        <p v-if="faultAt.agreement || faultAt.agreed" class="text-note text-clay" role="alert">
          {{ faultAt.agreement ?? faultAt.agreed }}
        </p>
      </fieldset>
      <div>
        <label class="label" for="table-known">People who are here already</label>
        <select id="table-known" v-model="known" class="field">
          <option value="BRING_UP_TO_DATE">are brought up to date</option>
          <option value="FILL_GAPS">get only what is not known yet</option>
          <option value="LEAVE">stay as they are</option>
        </select>
      </div>
      <div v-for="kind in ['lists', 'tags'] as const" :key="kind">
        <label class="label" :for="`table-${kind}`">{{
          kind === 'lists' ? 'Put all on lists, with commas between' : 'Give all tags'
        }}</label>
        <input
          v-if="kind === 'lists'"
          id="table-lists"
          v-model="lists"
          class="field"
          :aria-invalid="!!faultAt.lists"
        />
        <input v-else id="table-tags" v-model="tags" class="field" :aria-invalid="!!faultAt.tags" />
        <p v-if="faultAt[kind]" class="text-note text-clay" role="alert">{{ faultAt[kind] }}</p>
      </div>
      <div class="grid grid-cols-2 gap-2">
        <div>
          <label class="label" for="table-zone">Time zone, if none stands there</label>
          <input id="table-zone" v-model="zone" class="field" :aria-invalid="!!faultAt.zone" />
        </div>
        <div>
          <label class="label" for="table-country">Phones without +: country</label>
          <input
            id="table-country"
            v-model="country"
            class="field"
            maxlength="2"
            placeholder="such as: NO"
            :aria-invalid="!!faultAt.country"
          />
        </div>
        <p v-if="faultAt.zone || faultAt.country" class="col-span-2 text-note text-clay">
          {{ faultAt.zone ?? faultAt.country }}
        </p>
      </div>
      <label class="flex items-start gap-2">
        <input v-model="startsJourneys" type="checkbox" class="mt-1" />
        <span>
          They enter open journeys that start with these lists and tags
          <span class="text-ink2">(how many, is said below first)</span>
        </span>
      </label>
      <Trouble v-if="trouble" :text="trouble" />
      <section class="rounded-lg bg-sunk px-3 py-2" aria-label="What it will do" aria-live="polite">
        <p v-if="checkFaults.length" class="text-ink2">
          What it will do is said here once the columns are clear.
        </p>
        <p v-else-if="!check.data.value" class="text-ink2">Reading every row…</p>
        <template v-else>
          <p v-for="one in check.data.value.sentences" :key="one" class="py-0.5">{{ one }}</p>
          <ul
            v-if="check.data.value.refusals.length"
            class="mt-1 max-h-44 overflow-y-auto"
            tabindex="0"
            aria-label="Rows that will be refused"
          >
            <li
              v-for="one in check.data.value.refusals"
              :key="one.line"
              class="grid grid-cols-[68px_1fr] gap-1 border-t border-line2 py-1 text-note"
            >
              <span class="figure text-ink2">line {{ one.line }}</span>
              <span>{{ one.why }}</span>
            </li>
          </ul>
        </template>
      </section>
      <button
        type="submit"
        class="button button-main mt-auto shrink-0"
        :disabled="busy || unsaid || checkFaults.length > 0"
      >
        {{ busy ? 'Bringing in…' : 'Bring them in' }}
      </button>
    </form>
  </div>
</template>
