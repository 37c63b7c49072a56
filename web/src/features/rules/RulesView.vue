<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { RuleMeant } from '@/api/types'
import { useForm } from '@/api/useForm'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import RuleRow from './RuleRow.vue'
import RuleSentence from './RuleSentence.vue'

/** The standing rules: sentences with a switch each. */
const { data: rules, error } = useQuery(questions.rules())
const { told, busy, send } = useForm()
const text = ref('')
const meant = ref<RuleMeant | null>(null)
/** Another key empties the line. */
const line = ref(0)
const on = computed(() => rules.value?.filter((one) => one.on).length ?? 0)

async function add(alsoOn: boolean) {
  await send(async () => {
    const added = await answerOf(api.POST('/api/rules', { body: { text: text.value, name: null } }))
    text.value = ''
    meant.value = null
    line.value++
    try {
      if (alsoOn) {
        await answerOf(api.PUT('/api/rules/{id}/on', { params: { path: { id: added.id } } }))
      }
    } finally {
      await outdated('rules')
    }
  })
}

useTabTitle(() => 'Rules')
</script>

<template>
  <main class="flex min-h-0 flex-col gap-3 overflow-y-auto px-4 pb-4">
    <header class="flex items-baseline gap-3 pt-3">
      <h1 class="text-page">Rules</h1>
      <span v-if="rules?.length" class="note">{{ on }} of {{ rules.length }} on</span>
      <span class="note ml-auto"
        >What is done at once with whoever something happens to, in no journey.</span
      >
    </header>
    <form class="panel grid gap-2 p-3" aria-label="New rule" @submit.prevent="add(true)">
      <RuleSentence :key="line" v-model="text" @meant="(now) => (meant = now)">
        <button type="button" class="button" :disabled="busy || !meant" @click="add(false)">
          Keep it, off
        </button>
        <button class="button button-main" :disabled="busy || !meant">
          Keep it and turn it on
        </button>
      </RuleSentence>
      <p v-if="told" class="warning" role="alert">{{ told }}</p>
    </form>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <section v-else-if="rules" class="panel" aria-label="Standing rules">
      <ul v-if="rules.length">
        <RuleRow v-for="rule in rules" :key="rule.id" :rule="rule" />
      </ul>
      <p v-else class="p-4 text-ink2">
        There is none yet. Say in a sentence what is to be done whenever something happens, such as
        “when someone buys anything, tag buyer”.
      </p>
    </section>
  </main>
</template>
