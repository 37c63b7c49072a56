<script setup lang="ts">
import { ref } from 'vue'
import type { ToldTeam } from '@/api/types'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import NoticeList from './NoticeList.vue'
import PhoneTexts from './PhoneTexts.vue'
import ReadMail from './ReadMail.vue'

/** The mail server, phone, shop, website and team inbox that ship with the application. */
defineProps<{ notices: ToldTeam[] }>()

const CHOICES = [
  { key: 'inbox', name: 'inbox' },
  { key: 'phone', name: 'phone' },
  { key: 'shop', name: 'shop' },
  { key: 'site', name: 'site' },
  { key: 'notices', name: 'notices' },
] as const
const shown = ref<(typeof CHOICES)[number]['key']>('inbox')
</script>

<template>
  <section class="panel flex min-h-0 flex-col" aria-labelledby="stand-ins">
    <div class="panel-head">
      <ChoiceBar v-model="shown" label="Which stand-in" :choices="CHOICES" />
      <h2 id="stand-ins" class="ml-auto text-note font-normal text-ink2">stand-ins</h2>
    </div>
    <ReadMail v-if="shown === 'inbox'" />
    <PhoneTexts v-else-if="shown === 'phone'" />
    <template v-else-if="shown === 'shop'">
      <p class="border-b border-line bg-sunk px-3 py-1.5 text-ink2">
        What you do here is told as any shop tells it.
        <a class="underline" href="/shop" target="_blank" rel="noopener">In a tab</a>
      </p>
      <iframe
        src="/shop"
        title="The shop"
        sandbox="allow-forms allow-same-origin"
        class="min-h-0 flex-1 bg-panel"
      />
    </template>
    <template v-else-if="shown === 'site'">
      <p class="border-b border-line bg-sunk px-3 py-1.5 text-ink2">
        Your website, with a form in it or sliding in.
        <a class="underline" href="/site" target="_blank" rel="noopener">In a tab</a>
      </p>
      <iframe src="/site" title="The site" class="min-h-0 flex-1 bg-panel" />
    </template>
    <NoticeList v-else :notices="notices" />
  </section>
</template>
