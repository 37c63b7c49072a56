<script setup lang="ts">
import { computed } from 'vue'
import type { NewsletterFault, NewsRhythm } from '@/api/types'
import Labelled from '@/ui/Labelled.vue'
import { about, OVER_HOURS } from '@/features/newsletters/newsletters'
import { DAYS, SITE } from './news'

/** When issues go, and where their news comes from. */
defineProps<{ findings: NewsletterFault[]; wrong: Partial<Record<string, string>> }>()
const rhythm = defineModel<NewsRhythm>('rhythm', { required: true })
const source = defineModel<string>('source', { required: true })
const overHours = defineModel<number>('overHours', { required: true })

const kind = computed({
  get: () => rhythm.value.kind,
  set: (kind) => {
    const at = rhythm.value.at
    rhythm.value =
      kind === 'daily'
        ? { kind, at }
        : kind === 'weekly'
          ? { kind, day: 'THURSDAY', at }
          : { kind: 'monthly', day: 1, at }
  },
})
const fromSite = computed({
  get: () => source.value === SITE,
  set: (on) => (source.value = on ? SITE : ''),
})
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="label">When</legend>
    <span class="flex flex-wrap items-center gap-2">
      <select v-model="kind" class="field w-32!" aria-label="How often">
        <option value="daily">every day</option>
        <option value="weekly">every week</option>
        <option value="monthly">every month</option>
      </select>
      <select
        v-if="rhythm.kind === 'weekly'"
        v-model="rhythm.day"
        class="field w-36!"
        aria-label="Day of the week"
      >
        <option v-for="(name, day) in DAYS" :key="day" :value="day">on {{ name }}</option>
      </select>
      <label v-if="rhythm.kind === 'monthly'" class="flex items-center gap-1.5">
        on day
        <input
          v-model.number="rhythm.day"
          type="number"
          min="1"
          max="31"
          class="field w-18!"
          aria-label="Day of the month"
        />
      </label>
      <input v-model="rhythm.at" type="time" class="field w-28!" aria-label="Time of day" />
      <select v-model.number="overHours" class="field w-32!" aria-label="Over how long">
        <option v-for="(name, hours) in OVER_HOURS" :key="hours" :value="hours">{{ name }}</option>
      </select>
    </span>
    <p v-if="rhythm.kind === 'monthly' && rhythm.day > 28" class="note">
      In a shorter month it goes on its last day.
    </p>
    <p v-if="wrong['series/rhythm']" class="note text-clay!" role="alert">
      {{ wrong['series/rhythm'] }}
    </p>
  </fieldset>
  <fieldset class="grid gap-2">
    <legend class="label">Where the news comes from</legend>
    <span class="flex flex-wrap items-center gap-2">
      <select v-model="fromSite" class="field w-48!" aria-label="Where the news comes from">
        <option :value="true">the site’s page of news</option>
        <option :value="false">a feed on the web</option>
      </select>
      <a
        v-if="fromSite"
        class="button button-small"
        href="/site/news"
        target="_blank"
        rel="noopener"
        >Post something</a
      >
    </span>
    <Labelled
      v-if="!fromSite"
      id="news-source"
      name="Address of the feed"
      hint="Atom or RSS."
      :wrong="about(findings, '/source')?.sentence ?? wrong['series/source']"
    >
      <input
        id="news-source"
        v-model="source"
        class="field"
        maxlength="2000"
        placeholder="https://…"
        inputmode="url"
      />
    </Labelled>
  </fieldset>
</template>
