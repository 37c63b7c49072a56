<script setup lang="ts">
import { X } from '@lucide/vue'
import { computed } from 'vue'
import type { AmountDocument, ConditionDocument, TimeOfDayDocument } from '@/api/types'
import AmountFields from './AmountFields.vue'
import ConditionEditor from './ConditionEditor.vue'
import FieldValue from './FieldValue.vue'
import {
  beginning,
  fitted,
  type Fields,
  nameOf,
  ofKind,
  type Schema,
  shapeOf,
  type Value,
} from './shapes'
import TimeOfDayFields from './TimeOfDayFields.vue'
import { useKnown } from './useKnown'
import WeekdayButtons from './WeekdayButtons.vue'
import { fieldWords, kindWords, spokenWords } from './words'

/**
 * Edits any part of a journey by its description: a choice of kinds, its fields, what may be left
 * out, and lists. Amounts, times and conditions have editors of their own.
 */
const props = defineProps<{
  schema: Schema
  value: Value
  /** How the part is called, for those who do not see where it stands. */
  label: string
  emails: string[]
  /** Kinds that are not on offer here. */
  without?: string[]
}>()
const emit = defineEmits<{ change: [value: Value] }>()

const known = useKnown(() => props.emails)
const name = computed(() => nameOf(props.schema))
const shape = computed(() => shapeOf(props.schema))
const fields = computed(() => props.value as Fields)
const kinds = computed(() =>
  shape.value.type === 'oneOf'
    ? shape.value.kinds.filter(
        (one) => one.kind === fields.value.kind || !props.without?.includes(one.kind),
      )
    : [],
)
/** The part whose fields are shown: of the kind that is chosen, or the part itself. */
const shown = computed(
  () => kinds.value.find((one) => one.kind === fields.value.kind)?.part ?? name.value,
)
const shownFields = computed(() => {
  const of = shapeOf(shown.value === name.value ? props.schema : { $ref: `/${shown.value}` })
  return of.type === 'fields' ? of.fields : []
})
const items = computed(() => props.value as Value[])
/** Whether it is a list of as many as one likes: an operator says how many values it takes. */
const growing = computed(
  () => shape.value.type === 'list' && nameOf(shape.value.item) !== 'Operand',
)

function setKind(event: Event) {
  const kind = (event.target as HTMLSelectElement).value
  const chosen = kinds.value.find((one) => one.kind === kind)
  if (chosen) emit('change', ofKind(chosen.part, known.value, fields.value))
}

function setField(field: string, value: Value) {
  emit('change', fitted({ ...fields.value, [field]: value }))
}

function setItem(index: number, value: Value) {
  emit('change', items.value.with(index, value))
}

function addItem(item: Schema) {
  emit('change', [...items.value, beginning(item, known.value)])
}
</script>

<template>
  <AmountFields
    v-if="name === 'Amount'"
    :amount="value as AmountDocument"
    :label="label"
    @change="emit('change', $event)"
  />
  <TimeOfDayFields
    v-else-if="name === 'TimeOfDay'"
    :moment="value as TimeOfDayDocument"
    @change="emit('change', $event)"
  />
  <ConditionEditor
    v-else-if="name === 'Condition' && !without"
    :condition="value as ConditionDocument"
    :emails="emails"
    @change="emit('change', $event)"
  />
  <span v-else-if="shape.type === 'maybe'" class="inline-flex flex-wrap items-center gap-1.5">
    <label class="flex items-center gap-1.5">
      <input
        type="checkbox"
        :checked="value !== null"
        @change="emit('change', value === null ? beginning(shape.of, known) : null)"
      />
      {{ label }}
    </label>
    <PartEditor
      v-if="value !== null"
      :schema="shape.of"
      :value="value"
      :label="label"
      :emails="emails"
      @change="emit('change', $event)"
    />
  </span>
  <span v-else-if="shape.type === 'list'" class="inline-flex flex-wrap items-center gap-1.5">
    <WeekdayButtons
      v-if="nameOf(shape.item) === 'DayOfWeek'"
      :days="value as TimeOfDayDocument['days']"
      @change="emit('change', $event)"
    />
    <template v-else>
      <span v-for="(item, i) in items" :key="i" class="inline-flex items-center gap-1">
        <span v-if="i > 0" class="text-ink2">and</span>
        <PartEditor
          :schema="shape.item"
          :value="item"
          :label="`${label} ${i + 1}`"
          :emails="emails"
          @change="setItem(i, $event)"
        />
        <button
          v-if="growing"
          type="button"
          class="button button-small px-1!"
          :aria-label="`Remove ${label} ${i + 1}`"
          @click="emit('change', items.toSpliced(i, 1))"
        >
          <X class="size-3.5" aria-hidden="true" />
        </button>
      </span>
      <button
        v-if="growing"
        type="button"
        class="button button-small"
        :aria-label="items.length > 0 ? undefined : `Add to ${label}`"
        @click="addItem(shape.item)"
      >
        {{ items.length > 0 ? 'And another' : 'Add one' }}
      </button>
    </template>
  </span>
  <span
    v-else-if="shape.type === 'oneOf' || shape.type === 'fields'"
    class="inline-flex flex-wrap items-center gap-x-2 gap-y-1.5"
  >
    <select
      v-if="shape.type === 'oneOf'"
      class="field w-auto! max-w-52"
      :value="fields.kind"
      :aria-label="label"
      @change="setKind"
    >
      <option v-for="one in kinds" :key="one.kind" :value="one.kind">
        {{ kindWords(one.part) }}
      </option>
    </select>
    <span
      v-for="field in shownFields"
      :key="`${shown}.${field.name}`"
      class="inline-flex flex-wrap items-center gap-1.5"
    >
      <span
        v-if="!['maybe', 'truth'].includes(shapeOf(field.schema).type)"
        class="text-ink2 empty:hidden"
        >{{ fieldWords(shown, field.name) }}</span
      >
      <PartEditor
        :schema="field.schema"
        :value="fields[field.name]"
        :label="spokenWords(shown, field.name)"
        :emails="emails"
        @change="setField(field.name, $event)"
      />
    </span>
  </span>
  <FieldValue
    v-else
    :shape="shape"
    :type="name"
    :value="value"
    :label="label"
    :emails="emails"
    @change="emit('change', $event)"
  />
</template>
