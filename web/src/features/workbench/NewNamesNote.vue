<script setup lang="ts">
import type { NewName } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import Trouble from '@/ui/Trouble.vue'

/** Names that the journey uses and the account does not know, and a button that registers them. */
const props = defineProps<{ names: NewName[]; register: () => Promise<void> }>()

const { failure, busy, attempt } = useAttempt()
</script>

<template>
  <div class="warning">
    <div class="flex items-center gap-3">
      <b class="text-clay">Check</b>
      <ul class="flex-1">
        <li v-for="one in names" :key="one.kind + one.name">{{ one.sentence }}</li>
      </ul>
      <button
        type="button"
        class="button button-small"
        :disabled="busy"
        @click="attempt(props.register)"
      >
        {{ names.length === 1 ? `Make ${names[0]!.name}` : `Make all ${names.length}` }}
      </button>
    </div>
    <Trouble v-if="failure" class="mt-2" :text="failure" />
  </div>
</template>
