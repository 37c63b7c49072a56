<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import type { MadeUpPerson, ProofView } from '@/api/types'

/** What is known of somebody who is not there, and which passages are for them. */
const props = defineProps<{ passages: ProofView['passages'] }>()
const person = defineModel<MadeUpPerson>({ required: true })

const names = useQuery(questions.registeredNames())
const fields = computed(() => (names.data.value ?? []).filter((one) => one.kind === 'FIELD'))

const value = (event: Event) => (event.target as HTMLInputElement).value

function fill(field: string, event: Event) {
  person.value = { ...person.value, fields: { ...person.value.fields, [field]: value(event) } }
}

function hold(part: string, held: boolean) {
  const others = person.value.holding.filter((one) => one !== part)
  person.value = { ...person.value, holding: held ? [...others, part] : others }
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1.5 border-b border-line2 px-3 py-2">
    <label class="flex items-center gap-1.5"
      >first name
      <input
        class="field w-28!"
        maxlength="80"
        :value="person.firstName"
        @input="person = { ...person, firstName: value($event) }"
    /></label>
    <label class="flex items-center gap-1.5"
      >last name
      <input
        class="field w-28!"
        maxlength="80"
        :value="person.lastName"
        @input="person = { ...person, lastName: value($event) }"
    /></label>
    <label v-for="one in fields" :key="one.name" class="flex items-center gap-1.5"
      >{{ one.name }}
      <input
        class="field w-28!"
        :type="one.fieldType === 'DATE' ? 'date' : 'text'"
        maxlength="200"
        :value="person.fields[one.name] ?? ''"
        @change="fill(one.name, $event)"
    /></label>
    <label v-for="one in props.passages" :key="one.part" class="flex items-center gap-1.5 text-plum"
      ><input
        type="checkbox"
        :checked="person.holding.includes(one.part)"
        @change="hold(one.part, ($event.target as HTMLInputElement).checked)"
      />
      {{ one.why.replace(/^only if they /, 'they ') }}</label
    >
  </div>
</template>
