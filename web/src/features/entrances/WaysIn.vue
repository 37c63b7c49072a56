<script setup lang="ts">
import { useClipboard } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { EntranceView } from '@/api/types'
import ChoiceBar from '@/ui/ChoiceBar.vue'

/** How an entrance gets to where people are: a link, HTML for other sites, a code to be printed. */
const props = defineProps<{ entrance: EntranceView }>()

const WAYS = [
  { key: 'link', name: 'Link' },
  { key: 'frame', name: 'In a page' },
  { key: 'card', name: 'Sliding in' },
  { key: 'code', name: 'Printed' },
] as const
const SAID = {
  link: 'To be sent or put behind words.',
  frame: 'HTML for a page of your site: the form stands there in a frame.',
  card: 'HTML for every page of your site: the form slides in at the corner after the seconds in data-after. Whoever closes it does not see it again for 30 days.',
  code: 'For a stand or a leaflet: phones lead to the form. It stays sharp at any size.',
}

const way = ref<(typeof WAYS)[number]['key']>('link')
const words = computed(() => (way.value === 'code' ? '' : props.entrance.ways[way.value]))
const code = computed(() => `/api/entrances/${props.entrance.id}/code`)
const { copy, copied } = useClipboard({ legacy: true })
</script>

<template>
  <div>
    <div class="mb-1.5 flex items-center gap-2">
      <h3 class="label mb-0!">Where people find it</h3>
      <ChoiceBar v-model="way" class="ml-auto" label="Where people find it" :choices="WAYS" />
    </div>
    <div v-if="way === 'code'" class="flex items-end gap-3">
      <img
        :src="code"
        class="size-32 rounded-md border border-line bg-white"
        :alt="`A QR code that leads to ${entrance.ways.link}`"
      />
      <div class="grid gap-1.5">
        <p class="note">{{ SAID.code }}</p>
        <p class="note">It leads to {{ entrance.ways.link }}</p>
        <a
          class="button button-small justify-self-start"
          :href="code"
          :download="`${entrance.entrance.name}.svg`"
          >Keep it as a file</a
        >
      </div>
    </div>
    <div v-else class="grid gap-1">
      <p class="figure rounded-md border border-line bg-sunk px-2.5 py-2 text-note wrap-anywhere">
        {{ words }}
      </p>
      <p class="flex items-center gap-2">
        <button type="button" class="button button-small" @click="copy(words)">Copy</button>
        <span class="note" role="status">{{ copied ? 'Copied.' : SAID[way] }}</span>
      </p>
    </div>
  </div>
</template>
