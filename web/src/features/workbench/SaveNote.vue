<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { clock } from '@/ui/figures'
import { useJourneyStore } from './journeyStore'

const { view, save } = storeToRefs(useJourneyStore())
</script>

<template>
  <span role="status" class="note">
    <template v-if="save.status === 'saving'">Saving…</template>
    <template v-else-if="save.status === 'saved' && view">
      Saved {{ clock(view.savedAt) }} · v{{ view.version }}
    </template>
    <b v-else class="text-clay">Not saved</b>
  </span>
</template>
