<script setup lang="ts">
import { computed, onMounted, ref, useTemplateRef } from 'vue'
import { answerOf, api, faultsOf, NO_FAULTS, Refused, type Faults } from '@/api/client'
import type { PersonView } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'

/**
 * A person's record, changed in place. What is refused is told at its field; if somebody else has
 * changed them meanwhile, both sides are shown, and nothing typed is lost.
 */
const props = defineProps<{ person: PersonView }>()
const emit = defineEmits<{ saved: []; cancel: [] }>()

const PLAIN = [
  { id: 'firstName', name: 'First name' },
  { id: 'lastName', name: 'Last name' },
  { id: 'phone', name: 'Phone' },
  { id: 'zone', name: 'Time zone' },
] as const

const named = (kind: 'LIST' | 'TAG') =>
  props.person.labels
    .filter((label) => label.kind === kind)
    .map((label) => label.name)
    .join(', ')

const given = ref({
  firstName: props.person.firstName ?? '',
  lastName: props.person.lastName ?? '',
  phone: props.person.phone ?? '',
  zone: props.person.zone,
  lists: named('LIST'),
  tags: named('TAG'),
  texts: props.person.texts,
  textsHow: '',
  fields: props.person.fields.map((one) => ({ ...one })),
})
const version = ref(props.person.version)
/** How they are by now, if somebody else has changed them. */
const theirs = ref<PersonView | null>(null)
const FIELDS = [...PLAIN.map((field) => field.id), 'texts', 'lists', 'tags', 'fields']
const faults = ref<Faults>(NO_FAULTS)
const wrong = computed(() => faults.value.wrong)
const busy = ref(false)
const first = useTemplateRef<HTMLInputElement[]>('first')
onMounted(() => first.value?.[0]?.focus())

const split = (names: string) =>
  names
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)

async function save() {
  busy.value = true
  faults.value = NO_FAULTS
  theirs.value = null
  const { firstName, lastName, phone, zone, texts, textsHow, lists, tags, fields } = given.value
  try {
    await answerOf(
      api.PUT('/api/people/{id}', {
        params: { path: { id: props.person.id } },
        body: {
          version: version.value,
          firstName: firstName || null,
          lastName: lastName || null,
          phone: phone || null,
          zone,
          texts: texts === props.person.texts ? null : { agreed: texts, how: textsHow || null },
          lists: split(lists),
          tags: split(tags),
          fields: fields.filter((one) => one.field.trim()),
        },
      }),
    )
    emit('saved')
  } catch (reason) {
    refused(reason)
  } finally {
    busy.value = false
  }
}

function refused(reason: unknown) {
  const problem = reason instanceof Refused ? reason.problem : null
  if (problem?.current) {
    theirs.value = problem.current as unknown as PersonView
    version.value = theirs.value.version
    return
  }
  faults.value = faultsOf(reason, FIELDS)
}

/** What the other side says, in a line. */
function said(person: PersonView): string {
  const labels = person.labels.map((label) => label.name)
  const fields = person.fields.map((one) => `${one.field}: ${one.value}`)
  const name = [person.firstName, person.lastName].filter(Boolean).join(' ') || 'no name'
  return [name, person.phone, person.zone, ...labels, ...fields].filter(Boolean).join(' · ')
}
</script>

<template>
  <form
    class="flex flex-col gap-2 px-3 py-2.5"
    aria-label="Change this person"
    novalidate
    @submit.prevent="save"
    @keydown.esc="emit('cancel')"
  >
    <div v-if="theirs" class="warning rounded-lg px-3 py-2" role="alert">
      <p>Somebody else has changed them meanwhile. Now they are:</p>
      <p class="mt-1 font-semibold">{{ said(theirs) }}</p>
      <p class="mt-1">Save again to put yours in their place, or leave it as it is.</p>
      <button type="button" class="button button-small mt-1.5" @click="emit('saved')">
        Leave it as it is
      </button>
    </div>
    <div class="grid grid-cols-2 gap-2">
      <div v-for="field in PLAIN" :key="field.id">
        <label class="label" :for="`edit-${field.id}`">{{ field.name }}</label>
        <input
          :id="`edit-${field.id}`"
          ref="first"
          v-model="given[field.id]"
          class="field"
          :aria-invalid="!!wrong[field.id]"
        />
        <p v-if="wrong[field.id]" class="mt-0.5 text-note text-clay" role="alert">
          {{ wrong[field.id] }}
        </p>
      </div>
    </div>
    <div class="flex min-h-8 items-center gap-2">
      <label class="flex shrink-0 items-center gap-1.5">
        <input v-model="given.texts" type="checkbox" /> Agreed to texts
      </label>
      <input
        v-if="given.texts && !person.texts"
        v-model="given.textsHow"
        class="field"
        maxlength="200"
        aria-label="How you know that they agreed to texts"
        placeholder="how you know"
        :aria-invalid="!!wrong.texts"
      />
    </div>
    <p v-if="wrong.texts" class="-mt-1 text-note text-clay" role="alert">{{ wrong.texts }}</p>
    <div v-for="kind in ['lists', 'tags'] as const" :key="kind">
      <label class="label" :for="`edit-${kind}`"
        >{{ kind === 'lists' ? 'Lists' : 'Tags' }}, with commas between</label
      >
      <input
        :id="`edit-${kind}`"
        v-model="given[kind]"
        class="field"
        :aria-invalid="!!wrong[kind]"
      />
      <p v-if="wrong[kind]" class="mt-0.5 text-note text-clay" role="alert">{{ wrong[kind] }}</p>
    </div>
    <fieldset>
      <legend class="label">Fields; an empty value clears one</legend>
      <div v-for="(one, i) in given.fields" :key="i" class="mb-1.5 flex gap-2">
        <input
          v-model="one.field"
          class="field"
          :aria-label="`Name of field ${i + 1}`"
          placeholder="such as: hives"
        />
        <input v-model="one.value" class="field" :aria-label="`Value of field ${i + 1}`" />
      </div>
      <p v-if="wrong.fields" class="mb-1.5 text-note text-clay" role="alert">{{ wrong.fields }}</p>
      <button
        type="button"
        class="button button-small"
        @click="given.fields.push({ field: '', value: '' })"
      >
        Add a field
      </button>
    </fieldset>
    <Trouble v-if="faults.elsewhere" :text="faults.elsewhere" />
    <div class="mt-1 flex gap-2">
      <button type="submit" class="button button-main" :disabled="busy">Save</button>
      <button type="button" class="button" @click="emit('cancel')">Cancel</button>
    </div>
  </form>
</template>
