<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import SilentPeople from './SilentPeople.vue'
import WeeksTable from './WeeksTable.vue'

/** Whether mail is welcome: what became of each week's, and who opens nothing. */
const SPANS = [14, 30, 90, 180].map((days) => ({ key: String(days), name: `${days} days` }))

const route = useRoute()
const router = useRouter()
const days = computed<string>({
  get: () => SPANS.find((one) => one.key === route.query.days)?.key ?? '90',
  set: (key) => void router.replace({ query: { days: key } }),
})
const {
  data: view,
  error,
  isPlaceholderData,
} = useQuery(computed(() => questions.health(Number(days.value))))

useTabTitle(() => 'Health')
</script>

<template>
  <main class="flex min-h-0 flex-col gap-3 overflow-y-auto px-4 pb-4">
    <header class="flex items-center gap-3 pt-3">
      <h1 class="text-page">Health</h1>
      <span class="note">whether mail is welcome</span>
      <RouterLink class="button ml-auto" :to="{ name: 'people' }">Back to people</RouterLink>
    </header>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <div v-if="view" class="grid items-start gap-3 xl:grid-cols-[minmax(0,11fr)_minmax(0,9fr)]">
      <section class="panel p-4" aria-labelledby="weeks">
        <h2 id="weeks" class="text-lead font-bold">Week by week</h2>
        <ul class="mt-1 mb-3 grid gap-1" aria-label="What stands out">
          <li v-for="line in view.says" :key="line">{{ line }}</li>
        </ul>
        <WeeksTable :weeks="view.weeks" />
      </section>
      <section class="panel p-4" aria-labelledby="silent">
        <header class="flex flex-wrap items-center gap-3">
          <h2 id="silent" class="text-lead font-bold">Who has opened nothing for</h2>
          <ChoiceBar v-model="days" label="For how long" :choices="SPANS" />
        </header>
        <SilentPeople :silent="view.silent" :of-others="isPlaceholderData" />
      </section>
    </div>
    <p v-else-if="!error" class="panel p-6 text-ink2">Counting what became of the mail …</p>
  </main>
</template>
