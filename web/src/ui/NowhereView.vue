<script setup lang="ts">
import { useRoute } from 'vue-router'
import { useTabTitle } from './useTabTitle'

/** An address that leads nowhere. */
const route = useRoute()
useTabTitle(() => 'Nothing here')
</script>

<template>
  <main class="p-4">
    <h1 class="text-page">Nothing is here</h1>
    <p class="mt-1 mb-3 text-ink2">
      There is no page at <b class="text-ink">{{ route.path }}</b>. It may have been moved, or a
      letter is missing in the address.
    </p>
    <RouterLink class="button" :to="{ name: 'journeys' }">Go to the journeys</RouterLink>
  </main>
</template>
