<script setup lang="ts">
import TopBar from '@/ui/TopBar.vue'
</script>

<template>
  <div class="flex h-full min-w-[1100px] flex-col">
    <TopBar />
    <RouterView v-slot="{ Component, route }">
      <component :is="Component" :key="route.path" class="min-h-0 flex-1" />
    </RouterView>
  </div>
</template>
