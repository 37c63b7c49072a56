<script setup lang="ts">
import { TERMS, type Term } from './terms'

/** Plain words for a term of the trade, which explains itself when it is pointed at. */
defineProps<{ term: Term }>()
</script>

<template>
  <abbr class="cursor-help decoration-dotted underline-offset-3" :title="TERMS[term]"
    ><slot
  /></abbr>
</template>
