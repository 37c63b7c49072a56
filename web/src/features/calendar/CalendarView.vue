<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import { useForm } from '@/api/useForm'
import { PHASES } from '@/features/newsletters/newsletters'
import { count } from '@/ui/figures'
import { fullMoment } from '@/ui/moments'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'

/** What goes out when. */
const router = useRouter()
const { data: newsletters, error } = useQuery(questions.newsletters())
const name = ref('')
const { told, busy, send } = useForm()
useTabTitle(() => 'Calendar')

async function add() {
  await send(async () => {
    const added = await answerOf(api.POST('/api/newsletters', { body: { name: name.value } }))
    name.value = ''
    await outdated('newsletters')
    await router.push({ name: 'newsletter', params: { id: added.id } })
  })
}
</script>

<template>
  <main class="flex min-h-0 flex-col px-4 pb-3">
    <header class="flex items-center gap-3 pt-3 pb-3">
      <h1 class="text-page">Calendar</h1>
      <form class="ml-auto flex items-center gap-2" @submit.prevent="add">
        <input
          v-model="name"
          class="field w-56!"
          maxlength="80"
          placeholder="Name of a new newsletter"
          aria-label="Name of a new newsletter"
          :aria-invalid="!!told"
        />
        <button type="submit" class="button button-main" :disabled="busy || !name.trim()">
          New newsletter
        </button>
      </form>
    </header>
    <p v-if="told" class="warning mb-2" role="alert">{{ told }}</p>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <section class="panel min-h-0 overflow-y-auto" tabindex="0" aria-label="Newsletters">
      <table v-if="newsletters?.length" class="w-full">
        <thead>
          <tr class="note text-left">
            <th class="px-3 py-2 font-normal">newsletter</th>
            <th class="font-normal">goes out</th>
            <th class="font-normal">state</th>
            <th class="text-right font-normal">people</th>
            <th class="px-3 text-right font-normal">sent</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in newsletters" :key="one.id" class="border-t border-line2">
            <td class="px-3 py-2">
              <RouterLink
                class="font-semibold hover:underline"
                :to="{ name: 'newsletter', params: { id: one.id } }"
                >{{ one.name }}</RouterLink
              >
              <span class="note ml-2">{{ one.message ?? 'no message yet' }}</span>
            </td>
            <td>
              {{ one.firstAt ? fullMoment(one.firstAt) : 'no time yet'
              }}<span v-if="one.theirTime" class="note"> their time</span>
            </td>
            <td>{{ PHASES[one.phase] }}</td>
            <td class="figure text-right">{{ count(one.people) }}</td>
            <td class="figure px-3 text-right">{{ count(one.sent) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else-if="newsletters" class="p-6 text-ink2">
        There is no newsletter yet. Give one a name: then say who gets which message, and when.
      </p>
    </section>
  </main>
</template>
