<script setup lang="ts">
import type { NewsletterDocument, NewsletterFault } from '@/api/types'
import { about, BEGINS, MOST_SUBJECTS } from './newsletters'

/** Subjects that are tried on some people before the better one goes to the rest. */
defineProps<{ findings: NewsletterFault[] }>()
const tried = defineModel<NewsletterDocument['subjects']>({ required: true })

function put(at: number, subject: string) {
  const others = [...tried.value!.others]
  others[at] = subject
  tried.value = { ...tried.value!, others }
}

function remove(at: number) {
  tried.value = { ...tried.value!, others: tried.value!.others.filter((_, n) => n !== at) }
}
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="label">Subjects</legend>
    <label class="flex items-center gap-2">
      <input
        type="checkbox"
        :checked="!!tried"
        @change="tried = tried ? null : BEGINS.subjects()"
      />
      try other subjects on some of them first
    </label>
    <template v-if="tried">
      <span v-for="(subject, at) in tried.others" :key="at" class="grid gap-0.5">
        <span class="flex items-center gap-2">
          <input
            class="field"
            maxlength="200"
            placeholder="another subject"
            :aria-label="`Subject ${at + 2}`"
            :value="subject"
            @input="put(at, ($event.target as HTMLInputElement).value)"
          />
          <button
            v-if="tried.others.length > 1"
            type="button"
            class="button button-small"
            :aria-label="`Leave out subject ${at + 2}`"
            @click="remove(at)"
          >
            ×
          </button>
        </span>
        <span v-if="about(findings, `/subjects/others/${at}`)" class="text-note text-clay">{{
          about(findings, `/subjects/others/${at}`)!.sentence
        }}</span>
      </span>
      <span class="flex flex-wrap items-center gap-2">
        <button
          v-if="tried.others.length < MOST_SUBJECTS"
          type="button"
          class="button button-small"
          @click="put(tried.others.length, '')"
        >
          + Subject
        </button>
        on
        <input
          v-model.number="tried.sharePercent"
          type="number"
          min="5"
          max="50"
          class="field w-18!"
          aria-label="Percent of the people"
        />% first; the rest get the one more
        <select v-model="tried.by" class="field w-24!" aria-label="Judged by">
          <option value="OPENED">opened</option>
          <option value="CLICKED">clicked</option>
        </select>
        after
        <input
          v-model.number="tried.hours"
          type="number"
          min="1"
          max="72"
          class="field w-18!"
          aria-label="Hours until the rest get it"
        />
        hours
      </span>
    </template>
  </fieldset>
</template>
