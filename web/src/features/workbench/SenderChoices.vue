<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { questions } from '@/api/queries'

/** The account's senders, offered wherever one is typed: fields name this list. */
const { data } = useQuery(questions.account())
</script>

<template>
  <datalist id="senders">
    <option v-for="sender in data?.senders" :key="sender" :value="sender" />
  </datalist>
</template>
