<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, useId } from 'vue'
import { questions } from '@/api/queries'
import type { ColumnPlan, FoundColumn } from '@/api/types'

/** A column of a table: what stands in it, what it is taken for, and what has to be said of it. */
const props = defineProps<{ column: FoundColumn; number: number; fault: string | null }>()
const plan = defineModel<ColumnPlan>({ required: true })

const USES: Record<ColumnPlan['use'], string> = {
  ADDRESS: 'address',
  FIRST_NAME: 'first name',
  LAST_NAME: 'last name',
  WHOLE_NAME: 'whole name',
  PHONE: 'phone',
  ZONE: 'time zone',
  MAILING: 'email state',
  LISTS: 'lists',
  TAGS: 'tags',
  FIELD: 'a field',
  LEFT_OUT: 'left out',
}
const TYPES: Record<NonNullable<ColumnPlan['type']>, string> = {
  TEXT: 'text',
  NUMBER: 'number',
  DATE: 'date',
  YES_NO: 'yes or no',
  ONE_OF: 'one of a list',
}

const fields = useId()
const names = useQuery(() => questions.registeredNames())
const known = computed(() => (names.data.value ?? []).filter((one) => one.kind === 'FIELD'))
const called = computed(() => props.column.head || `column ${props.number}`)
/** A field that is there holds what it holds. */
const ownType = computed(
  () => known.value.find((one) => one.name === plan.value.field)?.fieldType ?? null,
)

/** How its values are written is still to be said. */
const doubtful = computed(
  () =>
    props.column.asks &&
    ((plan.value.type === 'DATE' && !plan.value.dates) ||
      (plan.value.type === 'NUMBER' && !plan.value.decimal)),
)

function take(use: ColumnPlan['use']) {
  const found = props.column.plan
  plan.value =
    use === 'FIELD'
      ? { ...found, use, field: found.field ?? props.column.head, type: found.type ?? 'TEXT' }
      : { use, field: null, type: null, dates: null, decimal: null }
}

function rename(field: string) {
  const type = known.value.find((one) => one.name === field)?.fieldType ?? plan.value.type
  plan.value = { ...plan.value, field, type }
}
</script>

<template>
  <tr class="border-b border-line2 align-top">
    <th scope="row" class="max-w-44 truncate px-3 py-2 text-left font-semibold" :title="called">
      {{ called }}
    </th>
    <td class="max-w-60 px-2 py-2">
      <p
        v-for="sample in column.samples"
        :key="sample"
        class="figure truncate text-note text-ink2"
        :title="sample"
      >
        {{ sample }}
      </p>
      <p v-if="!column.samples.length" class="note">nothing</p>
    </td>
    <td class="px-2 py-1.5">
      <div class="flex flex-wrap items-center gap-1.5">
        <select
          class="field w-36!"
          :value="plan.use"
          :aria-label="`What ${called} is taken for`"
          @change="take(($event.target as HTMLSelectElement).value as ColumnPlan['use'])"
        >
          <option v-for="(name, use) in USES" :key="use" :value="use">{{ name }}</option>
        </select>
        <template v-if="plan.use === 'FIELD'">
          <input
            class="field w-30!"
            :value="plan.field"
            :list="fields"
            :aria-label="`Which field ${called} fills`"
            @change="rename(($event.target as HTMLInputElement).value)"
          />
          <datalist :id="fields">
            <option v-for="one in known" :key="one.name" :value="one.name" />
          </datalist>
          <select
            v-model="plan.type"
            class="field w-28!"
            :disabled="ownType === plan.type"
            :aria-label="`What ${called} holds`"
          >
            <option v-for="(name, type) in TYPES" :key="type" :value="type">{{ name }}</option>
          </select>
          <select
            v-if="plan.type === 'DATE'"
            v-model="plan.dates"
            class="field w-36!"
            :aria-label="`Order of the dates in ${called}`"
          >
            <option :value="null" disabled>in which order?</option>
            <option value="YEAR_FIRST">year, month, day</option>
            <option value="DAY_FIRST">day, month, year</option>
            <option value="MONTH_FIRST">month, day, year</option>
          </select>
          <select
            v-if="plan.type === 'NUMBER'"
            v-model="plan.decimal"
            class="field w-36!"
            :aria-label="`Decimals in ${called}`"
          >
            <option :value="null" disabled>decimals?</option>
            <option value="POINT">decimals: point</option>
            <option value="COMMA">decimals: comma</option>
          </select>
        </template>
      </div>
      <p v-if="fault" class="mt-1 text-note text-clay" role="alert">
        {{ doubtful ? column.asks : fault }}
      </p>
    </td>
  </tr>
</template>
