<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { reasonOf } from '@/api/client'
import Trouble from '@/ui/Trouble.vue'
import { useSessionStore } from './sessionStore'

const store = useSessionStore()
const password = ref('')
const busy = ref(false)
const failure = ref<string | null>(null)
const field = ref<HTMLInputElement | null>(null)

onMounted(() => field.value?.focus())

async function signIn() {
  busy.value = true
  failure.value = null
  try {
    await store.signIn(password.value)
  } catch (reason) {
    failure.value = reasonOf(reason)
    password.value = ''
    busy.value = false
    field.value?.focus()
  }
}
</script>

<template>
  <main class="grid place-items-center bg-ground p-6">
    <form class="panel w-95 px-6 py-5" @submit.prevent="signIn">
      <h1 class="text-page">Say the password</h1>
      <p class="mt-1 mb-4 text-ink2">These plans are kept behind a password.</p>
      <label class="block">
        <span class="mb-1 block text-ink2">Password</span>
        <input
          ref="field"
          v-model="password"
          class="field w-full"
          type="password"
          autocomplete="current-password"
          required
          :readonly="busy"
        />
      </label>
      <button class="button button-main mt-4" :disabled="busy">Come in</button>
      <Trouble v-if="failure" class="mt-4" :text="failure" />
    </form>
  </main>
</template>
