<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { defineAsyncComponent, onMounted, ref } from 'vue'
import { reasonOf } from '@/api/client'
import { downloadBackup } from '@/features/session/downloadBackup'
import SignIn from '@/features/session/SignIn.vue'
import { useSessionStore } from '@/features/session/sessionStore'
import TopBar from '@/ui/TopBar.vue'
import Trouble from '@/ui/Trouble.vue'

const store = useSessionStore()
const failure = ref<string | null>(null)
onMounted(store.look)

/** Loaded when it is first asked for. */
const CommandBar = defineAsyncComponent(() => import('@/features/command/CommandBar.vue'))
const commanding = ref(false)

useEventListener('keydown', (event: KeyboardEvent) => {
  if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'k') return
  if (event.altKey || event.shiftKey || store.session === 'out') return
  event.preventDefault()
  commanding.value = true
})

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
  <div class="flex h-full min-w-248 flex-col">
    <TopBar
      :can-sign-out="store.session === 'in'"
      :out="store.session === 'out'"
      @backup="attempt(downloadBackup)"
      @go="commanding = true"
      @sign-out="attempt(store.signOut)"
    />
    <div v-if="failure" class="flex items-center gap-2 px-3 pt-2">
      <Trouble class="flex-1" :text="failure" />
      <button type="button" class="button" @click="failure = null">Close</button>
    </div>
    <CommandBar v-if="commanding" @close="commanding = false" />
    <SignIn v-if="store.session === 'out'" class="min-h-0 flex-1" />
    <RouterView v-else-if="store.session !== 'unknown'" v-slot="{ Component, route }">
      <component :is="Component" :key="route.path" class="min-h-0 flex-1" />
    </RouterView>
  </div>
</template>
