<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'

/** Which columns a table has. */
defineProps<{ columns: readonly { key: string; head: string; title?: string }[] }>()
const chosen = defineModel<string[]>({ required: true })

function toggle(key: string) {
  chosen.value = chosen.value.includes(key)
    ? chosen.value.filter((one) => one !== key)
    : [...chosen.value, key]
}
</script>

<template>
  <Popover class="relative">
    <PopoverButton class="button button-small">Columns</PopoverButton>
    <PopoverPanel class="panel absolute right-0 z-20 mt-1 max-h-[60vh] w-80 overflow-y-auto py-1">
      <label
        v-for="column in columns"
        :key="column.key"
        class="flex items-baseline gap-2 px-3 py-0.5 hover:bg-sunk"
      >
        <input
          type="checkbox"
          :checked="chosen.includes(column.key)"
          @change="toggle(column.key)"
        />
        <span
          >{{ column.head }} <span v-if="column.title" class="note">{{ column.title }}</span></span
        >
      </label>
    </PopoverPanel>
  </Popover>
</template>
