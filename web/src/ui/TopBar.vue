<script setup lang="ts">
import { useRoute } from 'vue-router'

defineProps<{ canSignOut: boolean; out: boolean }>()
const emit = defineEmits<{ backup: []; signOut: []; go: [] }>()

const route = useRoute()
const places = [
  { to: '/journeys', text: 'Journeys' },
  { to: '/messages', text: 'Messages' },
  { to: '/people', text: 'People' },
  { to: '/entrances', text: 'Entrances' },
  { to: '/calendar', text: 'Calendar' },
  { to: '/rules', text: 'Rules' },
  { to: '/side-by-side', text: 'Side by side' },
  { to: '/glasshouse', text: 'Glasshouse' },
]
</script>

<template>
  <header
    class="flex h-11 shrink-0 items-center gap-4 bg-pine px-4 whitespace-nowrap text-panel xl:gap-7"
  >
    <RouterLink to="/journeys" class="flex items-center gap-2 font-display text-empty font-bold">
      <svg viewBox="0 0 24 24" class="size-5" aria-hidden="true">
        <path
          d="M6 3v18M18 3v18M6 8h12M6 16h12"
          stroke="var(--color-vine-soft)"
          stroke-width="1.8"
          stroke-linecap="round"
        />
        <path
          d="M12 17c-3.4-2.4-3.4-7 0-10.500 3.400 3.500 3.400 8.100 0 10.500z"
          fill="var(--color-marigold)"
        />
      </svg>
      Open Trellis
    </RouterLink>
    <nav v-if="!out" aria-label="Main" class="flex h-full gap-4 xl:gap-6">
      <RouterLink
        v-for="place in places"
        :key="place.to"
        :to="place.to"
        class="flex items-center border-b-2 border-transparent pt-0.5 text-mist hover:text-white"
        :class="{ 'border-marigold! font-semibold text-white': route.path.startsWith(place.to) }"
      >
        {{ place.text }}
      </RouterLink>
    </nav>
    <div v-if="!out" class="ml-auto flex h-full gap-4 xl:gap-6">
      <button
        type="button"
        class="flex items-center gap-2 text-mist hover:text-white"
        title="Go to any journey, step, run or message, or do something"
        @click="emit('go')"
      >
        <span class="hidden xl:inline">Go to</span>
        <kbd class="border-mist/40! bg-transparent! text-mist!">Ctrl K</kbd>
      </button>
      <RouterLink
        to="/account"
        class="flex items-center text-mist hover:text-white"
        :class="{ 'font-semibold text-white': route.path === '/account' }"
        >Account</RouterLink
      >
      <button
        type="button"
        class="text-mist hover:text-white"
        title="Everything that is kept here, in one file that ./trellis restore brings back"
        @click="emit('backup')"
      >
        <span class="hidden xl:inline">Download a backup</span><span class="xl:hidden">Backup</span>
      </button>
      <button
        v-if="canSignOut"
        type="button"
        class="text-mist hover:text-white"
        @click="emit('signOut')"
      >
        Sign out
      </button>
    </div>
  </header>
</template>
