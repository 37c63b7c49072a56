<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { reasonOf } from '@/api/client'
import { downloadBackup } from '@/features/session/downloadBackup'
import SignIn from '@/features/session/SignIn.vue'
import { useSessionStore } from '@/features/session/sessionStore'
import TopBar from '@/ui/TopBar.vue'
import Trouble from '@/ui/Trouble.vue'

const store = useSessionStore()
const failure = ref<string | null>(null)
onMounted(store.look)

async function attempt(work: () => Promise<void>) {
  failure.value = null
  try {
    await work()
  } catch (reason) {
    failure.value = reasonOf(reason)
  }
}
</script>

<template>
  <div class="flex h-full min-w-275 flex-col">
    <TopBar
      :can-sign-out="store.session === 'in'"
      :out="store.session === 'out'"
      @backup="attempt(downloadBackup)"
      @sign-out="attempt(store.signOut)"
    />
    <div v-if="failure" class="flex items-center gap-2 px-3 pt-2">
      <Trouble class="flex-1" :text="failure" />
      <button type="button" class="button" @click="failure = null">Close</button>
    </div>
    <SignIn v-if="store.session === 'out'" class="min-h-0 flex-1" />
    <RouterView v-else-if="store.session !== 'unknown'" v-slot="{ Component, route }">
      <component :is="Component" :key="route.path" class="min-h-0 flex-1" />
    </RouterView>
  </div>
</template>
