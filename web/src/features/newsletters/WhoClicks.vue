<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useForm } from '@/api/useForm'

/** A journey for whoever clicks a link of a newsletter's message. */
const props = defineProps<{ message: string }>()

const router = useRouter()
const { data: messages } = useQuery(questions.messages())
const { told, busy, send } = useForm()
const found = computed(() => messages.value?.find((one) => one.id === props.message))
const link = ref('')

async function begin() {
  await send(async () => {
    const name = `Clicked ${link.value || found.value?.name}`.slice(0, 80)
    const added = await answerOf(api.POST('/api/journeys', { body: { name, purpose: 'NURTURE' } }))
    await answerOf(
      api.PUT('/api/journeys/{id}', {
        params: { path: { id: added.id } },
        body: {
          version: added.version,
          journey: {
            ...added.journey,
            triggers: [{ kind: 'clicksMessage', message: props.message, link: link.value || null }],
          },
          by: null,
        },
      }),
    )
    await outdated('journeys')
    await router.push({ name: 'workbench', params: { id: added.id } })
  })
}
</script>

<template>
  <form
    v-if="found?.links.length"
    class="flex flex-wrap items-center gap-2"
    aria-label="Whoever clicks"
    @submit.prevent="begin"
  >
    <span>Whoever clicks</span>
    <select v-model="link" class="field w-56!" aria-label="Link">
      <option value="">any link</option>
      <option v-for="one in found.links" :key="one" :value="one">{{ one }}</option>
    </select>
    <span>in it:</span>
    <button class="button button-small" :disabled="busy">Start a journey for them</button>
    <p v-if="told" class="warning w-full" role="alert">{{ told }}</p>
  </form>
</template>
