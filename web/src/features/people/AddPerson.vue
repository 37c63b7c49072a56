<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { onMounted, ref, useTemplateRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { questions } from '@/api/queries'
import { useForm } from '@/api/useForm'
import Labelled from '@/ui/Labelled.vue'
import Trouble from '@/ui/Trouble.vue'

/** Somebody is added by hand; what is refused is told at its field, and nothing typed is lost. */
const emit = defineEmits<{ added: [id: number]; cancel: [] }>()

const FIELDS = [
  { id: 'address', name: 'Address', width: 'w-60', hint: 'mira.t@example.com' },
  { id: 'firstName', name: 'First name', width: 'w-36', hint: '' },
  { id: 'lastName', name: 'Last name', width: 'w-36', hint: '' },
  { id: 'phone', name: 'Phone', width: 'w-40', hint: '+47 21 23 45 67' },
  { id: 'zone', name: 'Time zone', width: 'w-40', hint: 'Europe/Berlin' },
  {
    id: 'agreed',
    name: 'They agreed to email: how you know',
    width: 'w-72',
    hint: 'leave empty if they have not agreed',
  },
] as const

type Field = (typeof FIELDS)[number]['id']
const given = ref<Record<Field, string>>({
  address: '',
  firstName: '',
  lastName: '',
  phone: '',
  zone: '',
  agreed: '',
})
/* At home unless something else is said. */
const { data: home } = useQuery(questions.account())
watch(home, (now) => now && (given.value.zone ||= now.account.zone), { immediate: true })
const { wrong, failure, busy, send } = useForm(...FIELDS.map((field) => field.id))
const first = useTemplateRef<HTMLInputElement[]>('first')
onMounted(() => first.value?.[0]?.focus())

async function add() {
  const { address, firstName, lastName, phone, zone, agreed } = given.value
  await send(async () => {
    const added = await answerOf(
      api.POST('/api/people', {
        body: {
          address,
          firstName: firstName || null,
          lastName: lastName || null,
          phone: phone || null,
          zone,
          agreed: agreed || null,
        },
      }),
    )
    emit('added', added.id)
  })
}
</script>

<template>
  <form
    class="panel p-3"
    aria-label="Add someone"
    novalidate
    @submit.prevent="add"
    @keydown.esc="emit('cancel')"
  >
    <div class="flex flex-wrap items-start gap-3">
      <Labelled
        v-for="field in FIELDS"
        :id="`add-${field.id}`"
        v-slot="{ described }"
        :key="field.id"
        :class="field.width"
        :name="field.name"
        :wrong="wrong[field.id]"
      >
        <input
          :id="`add-${field.id}`"
          ref="first"
          v-model="given[field.id]"
          class="field"
          :placeholder="field.hint"
          :aria-invalid="!!wrong[field.id]"
          :aria-describedby="described"
        />
      </Labelled>
    </div>
    <Trouble v-if="failure" class="mt-2" :text="failure" />
    <div class="mt-3 flex gap-2">
      <button type="submit" class="button button-main" :disabled="busy">Add them</button>
      <button type="button" class="button" @click="emit('cancel')">Cancel</button>
    </div>
  </form>
</template>
