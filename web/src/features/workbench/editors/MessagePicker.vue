<script setup lang="ts">
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/vue'
import { ChevronDown } from '@lucide/vue'
import { computed, ref } from 'vue'
import type { MessageView } from '@/api/types'

/** One of the account's messages, found by a few letters of its name or subject. */
const props = defineProps<{ value: string; messages: MessageView[] }>()
const emit = defineEmits<{ change: [message: string] }>()

const MOST = 60
const words = ref('')
const chosen = computed(() => props.messages.find((one) => one.id === props.value) ?? null)
const found = computed(() => {
  const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
  return props.messages
    .filter((one) =>
      wanted.every((word) => `${one.name} ${said(one)}`.toLowerCase().includes(word)),
    )
    .slice(0, MOST)
})

function said(message: MessageView): string {
  return message.content.kind === 'email' ? message.content.subject : message.content.words
}
</script>

<template>
  <Combobox
    as="div"
    class="relative flex-1"
    :model-value="value"
    @update:model-value="(message) => message && emit('change', message)"
  >
    <ComboboxLabel class="label">Message</ComboboxLabel>
    <ComboboxInput
      class="field pr-8!"
      autocomplete="off"
      :display-value="() => chosen?.name ?? `${value} (missing)`"
      @change="words = ($event.target as HTMLInputElement).value"
      @focus="($event.target as HTMLInputElement).select()"
      @blur="words = ''"
    />
    <ComboboxButton
      class="absolute right-0 bottom-0 grid h-7.5 w-8 place-content-center text-ink2"
      aria-label="Show all messages"
    >
      <ChevronDown class="size-4" />
    </ComboboxButton>
    <ComboboxOptions
      class="absolute z-20 mt-1 max-h-60 w-full min-w-72 overflow-y-auto rounded-lg border border-line bg-panel py-1"
    >
      <ComboboxOption
        v-for="one in found"
        :key="one.id"
        v-slot="{ active, selected }"
        :value="one.id"
        as="template"
      >
        <li class="cursor-pointer px-3 py-1" :class="{ 'bg-marigold-soft': active }">
          <span :class="{ 'font-semibold': selected }">{{ one.name }}</span>
          <span v-if="said(one) !== one.name" class="note ml-2">{{ said(one) }}</span>
        </li>
      </ComboboxOption>
      <li v-if="!found.length" class="px-3 py-1 text-ink2">No message is called so.</li>
    </ComboboxOptions>
  </Combobox>
</template>
