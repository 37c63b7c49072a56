<script setup lang="ts">
import DropMenu, { type MenuChoice } from '@/ui/DropMenu.vue'

/** What is done to the chosen rows, above the run sheet. */
defineProps<{ arrangeable: boolean; removable: boolean; menu: MenuChoice[][] }>()
defineEmits<{ arrange: ['UP' | 'DOWN']; remove: []; choose: [string] }>()
</script>

<template>
  <span class="ml-auto flex gap-1">
    <button
      type="button"
      class="button button-small"
      :disabled="!arrangeable"
      title="Move up (Alt ↑)"
      aria-label="Move step up"
      @click="$emit('arrange', 'UP')"
    >
      ↑
    </button>
    <button
      type="button"
      class="button button-small"
      :disabled="!arrangeable"
      title="Move down (Alt ↓)"
      aria-label="Move step down"
      @click="$emit('arrange', 'DOWN')"
    >
      ↓
    </button>
    <button
      type="button"
      class="button button-small"
      :disabled="!removable"
      title="Remove (Delete)"
      @click="$emit('remove')"
    >
      Remove
    </button>
    <DropMenu label="More" :groups="menu" small @choose="(id) => $emit('choose', id)" />
  </span>
</template>
