<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useForm } from '@/api/useForm'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'

/** Around what is open of the entrances: which there are, and how another begins. */
defineProps<{ shown?: number }>()

const router = useRouter()
const { data: entrances, error } = useQuery(questions.entrances())
const name = ref('')
const { told, busy, send } = useForm()

async function add() {
  await send(async () => {
    const added = await answerOf(api.POST('/api/entrances', { body: { name: name.value } }))
    name.value = ''
    await outdated('entrances')
    await router.push({ name: 'entrance', params: { id: added.id } })
  })
}

const ROW = 'block rounded-md px-2.5 py-2 hover:bg-sunk aria-[current]:bg-marigold-soft!'
</script>

<template>
  <main class="flex min-h-0 flex-col px-4 pb-3">
    <header class="flex items-center gap-3 pt-3 pb-3">
      <h1 class="text-page">Entrances</h1>
      <span class="note">sign-up forms that work on this machine</span>
      <form class="ml-auto flex items-center gap-2" @submit.prevent="add">
        <input
          v-model="name"
          class="field w-56!"
          maxlength="80"
          placeholder="Name of a new form"
          aria-label="Name of a new form"
          :aria-invalid="!!told"
        />
        <button type="submit" class="button button-main" :disabled="busy || !name.trim()">
          New entrance
        </button>
      </form>
    </header>
    <p v-if="told" class="warning mb-2" role="alert">{{ told }}</p>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <div class="grid min-h-0 flex-1 grid-cols-[220px_minmax(0,1fr)] gap-3">
      <nav class="panel overflow-y-auto p-1.5" aria-label="Entrances">
        <RouterLink
          v-for="one in entrances"
          :key="one.id"
          :to="{ name: 'entrance', params: { id: one.id } }"
          :class="ROW"
          :aria-current="one.id === shown ? 'page' : undefined"
        >
          <b class="block truncate font-semibold">{{ one.entrance.name }}</b>
          <span class="note">
            {{ one.on ? 'on' : 'off' }} · {{ count(one.signUps) }} in 30 days
          </span>
        </RouterLink>
        <RouterLink
          :to="{ name: 'choices-page' }"
          class="border-line2 not-first:mt-1.5 not-first:border-t"
          :class="ROW"
        >
          <b class="block font-semibold">Your choices</b>
          <span class="note">the page behind each mail’s link</span>
        </RouterLink>
      </nav>
      <slot />
    </div>
  </main>
</template>
