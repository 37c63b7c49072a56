<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { COLUMNS } from './stepColumns'

/** Which columns the step table has. */
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
    <PopoverPanel class="panel absolute right-0 z-20 mt-1 w-80 py-1">
      <label
        v-for="column in COLUMNS"
        :key="column.key"
        class="flex items-baseline gap-2 px-3 py-0.5 hover:bg-sunk"
      >
        <input
          type="checkbox"
          :checked="chosen.includes(column.key)"
          @change="toggle(column.key)"
        />
        <span
          >{{ column.head }} <span class="note">{{ column.title }}</span></span
        >
      </label>
    </PopoverPanel>
  </Popover>
</template>
