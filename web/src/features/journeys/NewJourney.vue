<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { onMounted, ref, useTemplateRef } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { JourneyDocument } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import StarterCard from './StarterCard.vue'

/** Begins a journey: from an empty sheet or from a starter; one, however often its key is pressed. */
defineProps<{ busy: boolean }>()
const emit = defineEmits<{
  add: [name: string, purpose: JourneyDocument['purpose']]
  begin: [starter: string]
  cancel: []
}>()

const name = ref('')
const purpose = ref<JourneyDocument['purpose']>('OTHER')
const first = useTemplateRef<HTMLInputElement>('first')
const { data: starters, error } = useQuery(questions.starters())

onMounted(() => first.value?.focus())
</script>

<template>
  <section class="panel p-3" aria-label="New journey" @keydown.esc="emit('cancel')">
    <form class="flex items-end gap-3" @submit.prevent="emit('add', name, purpose)">
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
        <select v-model="purpose" class="field w-52!">
          <option value="OTHER">follows from what starts it</option>
          <option value="WELCOME">welcome</option>
          <option value="NURTURE">nurture</option>
          <option value="CART">cart</option>
          <option value="DATE_BASED">date-based</option>
        </select>
      </label>
      <button type="submit" class="button button-main" :disabled="busy">Start planning</button>
      <button type="button" class="button" @click="emit('cancel')">Cancel</button>
    </form>
    <h2 class="mt-3 mb-1.5 text-lead">Or begin from a starter</h2>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <ul class="grid grid-cols-[repeat(auto-fill,minmax(270px,1fr))] gap-2">
      <StarterCard
        v-for="starter in starters"
        :key="starter.id"
        :starter="starter"
        :busy="busy"
        @begin="emit('begin', starter.id)"
      />
    </ul>
  </section>
</template>
