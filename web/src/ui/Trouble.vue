<script setup lang="ts">
defineProps<{ text: string }>()
</script>

<template>
  <p class="warning" role="alert"><b class="mr-2 text-clay">That did not work.</b>{{ text }}</p>
</template>
