<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { onMounted, ref, useTemplateRef, watch } from 'vue'
import { answerOf, api, faultsOf, reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
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
const wrong = ref<Partial<Record<string, string>>>({})
const failure = ref<string | null>(null)
const busy = ref(false)
const first = useTemplateRef<HTMLInputElement[]>('first')
onMounted(() => first.value?.[0]?.focus())

async function add() {
  busy.value = true
  wrong.value = {}
  failure.value = null
  try {
    const { address, firstName, lastName, phone, zone, agreed } = given.value
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
  } catch (reason) {
    wrong.value = faultsOf(reason)
    if (Object.keys(wrong.value).length === 0) failure.value = reasonOf(reason)
  } finally {
    busy.value = false
  }
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
      <div v-for="field in FIELDS" :key="field.id" :class="field.width">
        <label class="label" :for="`add-${field.id}`">{{ field.name }}</label>
        <input
          :id="`add-${field.id}`"
          ref="first"
          v-model="given[field.id]"
          class="field"
          :placeholder="field.hint"
          :aria-invalid="!!wrong[field.id]"
          :aria-describedby="wrong[field.id] ? `wrong-${field.id}` : undefined"
        />
        <span
          v-if="wrong[field.id]"
          :id="`wrong-${field.id}`"
          class="mt-0.5 block text-note text-clay"
          role="alert"
          >{{ wrong[field.id] }}</span
        >
      </div>
    </div>
    <Trouble v-if="failure" class="mt-2" :text="failure" />
    <div class="mt-3 flex gap-2">
      <button type="submit" class="button button-main" :disabled="busy">Add them</button>
      <button type="button" class="button" @click="emit('cancel')">Cancel</button>
    </div>
  </form>
</template>
