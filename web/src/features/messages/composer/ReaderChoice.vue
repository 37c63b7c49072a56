<script setup lang="ts">
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/vue'
import { useInfiniteQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { questions } from '@/api/queries'
import type { Reader } from './useProof'

/** As whom a message is looked at: anybody of the account, somebody made up, or nobody known. */
const reader = defineModel<Reader>({ required: true })

const typed = ref('')
const search = refDebounced(typed, 150)
const people = useInfiniteQuery(computed(() => questions.people('', search.value, 'NEWEST')))
const found = computed(
  () =>
    people.data.value?.pages[0]?.items.slice(0, 12).map((one) => ({
      kind: 'known' as const,
      id: one.id,
      name: one.name ?? one.address,
      address: one.address,
    })) ?? [],
)
/* One object each: a new one for each drawing would be another option each time. */
const NOBODY: Reader = { kind: 'nobody' }
const MADE: Reader = {
  kind: 'made',
  person: { firstName: 'Mira', lastName: 'Tolland', fields: {}, holding: [] },
}
const called = computed(() => {
  const who = reader.value
  if (who.kind === 'known') return who.name
  return who.kind === 'made' ? 'somebody made up' : 'a reader without anything'
})
</script>

<template>
  <Combobox v-model="reader" as="div" class="relative min-w-24 shrink">
    <ComboboxLabel class="sr-only">As whom</ComboboxLabel>
    <div class="flex">
      <ComboboxInput
        class="field w-48! min-w-0 rounded-r-none!"
        :display-value="() => called"
        autocomplete="off"
        @change="typed = $event.target.value"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <ComboboxButton class="button rounded-l-none! border-l-0! px-2!" aria-label="Choose as whom"
        >▾</ComboboxButton
      >
    </div>
    <ComboboxOptions
      class="absolute left-0 z-20 mt-1 max-h-80 w-72 overflow-y-auto rounded-lg border border-line bg-panel py-1"
    >
      <ComboboxOption v-slot="{ active }" :value="NOBODY" as="template">
        <li class="cursor-pointer px-3 py-1" :class="{ 'bg-marigold-soft': active }">
          a reader without anything
          <span class="note block">no name, no fields, none of the passages</span>
        </li>
      </ComboboxOption>
      <ComboboxOption v-slot="{ active }" :value="MADE" as="template">
        <li class="cursor-pointer px-3 py-1" :class="{ 'bg-marigold-soft': active }">
          somebody made up
          <span class="note block">what is known of them, and which passages, is up to you</span>
        </li>
      </ComboboxOption>
      <ComboboxOption
        v-for="one in found"
        :key="one.id"
        v-slot="{ active }"
        :value="one"
        as="template"
      >
        <li class="cursor-pointer truncate px-3 py-1" :class="{ 'bg-marigold-soft': active }">
          {{ one.name }} <span class="note ml-1">{{ one.address }}</span>
        </li>
      </ComboboxOption>
    </ComboboxOptions>
  </Combobox>
</template>
