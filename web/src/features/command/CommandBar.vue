<script setup lang="ts">
import {
  Combobox,
  ComboboxInput,
  ComboboxOption,
  ComboboxOptions,
  Dialog,
  DialogPanel,
} from '@headlessui/vue'
import { ref } from 'vue'
import { useCommands, type Command } from './useCommands'

/** Goes anywhere and does anything by a few letters. */
const emit = defineEmits<{ close: [] }>()
const words = ref('')
const { found } = useCommands(words)

async function choose(command: Command | null) {
  if (!command) return
  emit('close')
  await command.go()
}
</script>

<template>
  <Dialog :open="true" class="relative z-40" @close="emit('close')">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true" />
    <div class="fixed inset-0 flex justify-center px-4 pt-20">
      <DialogPanel
        class="panel flex max-h-[70vh] w-full max-w-2xl flex-col self-start shadow-lg"
        @keydown.esc.capture.stop="emit('close')"
      >
        <Combobox :model-value="null" nullable @update:model-value="choose">
          <ComboboxInput
            class="field m-2 w-auto!"
            placeholder="Go to a journey, step, run or message, or do something"
            aria-label="Go to"
            :display-value="() => words"
            @change="words = ($event.target as HTMLInputElement).value"
          />
          <ComboboxOptions static class="min-h-0 flex-1 overflow-y-auto pb-1" aria-label="Places">
            <ComboboxOption
              v-for="one in found"
              :key="`${one.kind}/${one.id}`"
              v-slot="{ active }"
              :value="one"
              as="template"
            >
              <li
                class="flex cursor-pointer items-baseline gap-3 px-3.5 py-1"
                :class="{ 'bg-marigold-soft': active }"
              >
                <span class="note w-16 shrink-0">{{ one.kind }}</span>
                <span class="min-w-0 truncate">{{ one.name }}</span>
                <span class="note ml-auto shrink-0">{{ one.note }}</span>
              </li>
            </ComboboxOption>
            <li v-if="!found.length" class="px-3.5 py-2 text-ink2">Nothing is called so.</li>
          </ComboboxOptions>
        </Combobox>
        <p class="note border-t border-line2 px-3.5 py-1.5">
          <kbd>↑</kbd> <kbd>↓</kbd> choose · <kbd>Enter</kbd> go · <kbd>Esc</kbd> leave
        </p>
      </DialogPanel>
    </div>
  </Dialog>
</template>
