<script setup lang="ts">
import type { Phrase } from '@/api/types'

defineProps<{ phrase: Phrase }>()
</script>

<template>
  <span
    ><template v-for="(span, i) in phrase.spans" :key="i"
      ><b v-if="span.strong" class="font-semibold" :data-slot="i">{{ span.text }}</b
      ><template v-else>{{ span.text }}</template></template
    ></span
  >
</template>
