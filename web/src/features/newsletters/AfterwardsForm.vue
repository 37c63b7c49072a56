<script setup lang="ts">
import type { MessageView, NewsletterDocument, NewsletterFault } from '@/api/types'
import { about, BEGINS } from './newsletters'

/** What follows a newsletter: a text, and the same once more. */
defineProps<{ texts: MessageView[]; findings: NewsletterFault[] }>()
const given = defineModel<NewsletterDocument>({ required: true })
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="label">Afterwards</legend>
    <label class="flex items-center gap-2">
      <input
        type="checkbox"
        :checked="!!given.text"
        @change="given.text = given.text ? null : BEGINS.text()"
      />
      a text to the phones of those who agreed to texts
    </label>
    <span v-if="given.text" class="flex flex-wrap items-center gap-2 pl-5">
      <select
        class="field w-52!"
        aria-label="Text"
        :value="given.text.text ?? ''"
        @change="given.text.text = ($event.target as HTMLSelectElement).value || null"
      >
        <option value="">no text yet</option>
        <option v-for="one in texts" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
      <select v-model="given.text.to" class="field w-48!" aria-label="To whom the text goes">
        <option value="NOT_OPENED">who have not opened it</option>
        <option value="NOT_CLICKED">who have not clicked in it</option>
        <option value="ALL_WHO_AGREED">all of them</option>
      </select>
      after
      <input
        v-model.number="given.text.hours"
        type="number"
        :min="given.text.to === 'ALL_WHO_AGREED' ? 0 : 1"
        max="168"
        class="field w-18!"
        aria-label="Hours until the text"
      />
      hours
      <span v-if="about(findings, '/text/text')" class="text-note text-clay">{{
        about(findings, '/text/text')!.sentence
      }}</span>
    </span>
    <label class="flex items-center gap-2">
      <input
        type="checkbox"
        :checked="!!given.onceMore"
        @change="given.onceMore = given.onceMore ? null : BEGINS.onceMore()"
      />
      once more to those who have not opened it, under another subject
    </label>
    <span v-if="given.onceMore" class="flex flex-wrap items-center gap-2 pl-5">
      <input
        v-model="given.onceMore.subject"
        class="field w-72!"
        maxlength="200"
        placeholder="the other subject"
        aria-label="Subject of the second try"
      />
      after
      <input
        v-model.number="given.onceMore.hours"
        type="number"
        min="1"
        max="336"
        class="field w-18!"
        aria-label="Hours until the second try"
      />
      hours
      <span v-if="about(findings, '/onceMore/subject')" class="text-note text-clay">{{
        about(findings, '/onceMore/subject')!.sentence
      }}</span>
    </span>
  </fieldset>
</template>
