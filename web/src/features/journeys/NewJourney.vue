<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import type { JourneyDocument } from '@/api/types'

const emit = defineEmits<{
  add: [name: string, purpose: JourneyDocument['purpose']]
  cancel: []
}>()

const name = ref('')
const purpose = ref<JourneyDocument['purpose']>('WELCOME')
const first = useTemplateRef<HTMLInputElement>('first')
onMounted(() => first.value?.focus())
</script>

<template>
  <form
    class="panel flex items-end gap-3 p-3"
    aria-label="New journey"
    @submit.prevent="emit('add', name, purpose)"
    @keydown.esc="emit('cancel')"
  >
    <label class="flex-1">
      <span class="label">Name</span>
      <input
        ref="first"
        v-model="name"
        class="field"
        required
        maxlength="80"
        placeholder="such as: First frames"
      />
    </label>
    <label>
      <span class="label">Purpose</span>
      <select v-model="purpose" class="field w-36!">
        <option value="WELCOME">welcome</option>
        <option value="NURTURE">nurture</option>
        <option value="CART">cart</option>
        <option value="DATE_BASED">date-based</option>
        <option value="OTHER">other</option>
      </select>
    </label>
    <button type="submit" class="button button-main">Start planning</button>
    <button type="button" class="button" @click="emit('cancel')">Cancel</button>
  </form>
</template>
