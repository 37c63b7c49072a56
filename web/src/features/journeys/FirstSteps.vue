<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import type { RouteLocationRaw } from 'vue-router'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { FirstStep } from '@/api/types'

/** What one does first here, one after the other, until whoever is new puts it away. */
const { data: view } = useQuery(questions.firstSteps())

interface Said {
  title: string
  words: string
  links: { name: string; to: RouteLocationRaw }[]
}

/** What needs a journey leads to the one that was saved last. */
const journey = computed(() => view.value?.journey ?? null)
const inJourney = (name: string, words: string) =>
  journey.value === null ? [] : [{ name: words, to: { name, params: { id: journey.value } } }]

function said(step: FirstStep['step']): Said {
  switch (step) {
    case 'PEOPLE':
      return {
        title: 'People, or an entrance',
        words: 'Bring in the people you have, or make a form by which new ones come.',
        links: [
          { name: 'Bring in a file', to: { name: 'bring-in' } },
          { name: 'Make an entrance', to: { name: 'entrances' } },
        ],
      }
    case 'MESSAGE':
      return {
        title: 'A message',
        words: 'Write the first email that they are to get.',
        links: [{ name: 'Write one', to: { name: 'messages' } }],
      }
    case 'JOURNEY':
      return {
        title: 'A journey',
        words: 'Say who gets what, and when: from a starter, or typed line by line.',
        links: [{ name: 'Plan one', to: { name: 'journeys', query: { new: 'yes' } } }],
      }
    case 'DRY_RUN':
      return {
        title: 'A dry run',
        words: 'Send simulated people through it, and see where it is weak.',
        links: inJourney('dry-run', 'Make one'),
      }
    case 'TRYOUT':
      return {
        title: 'Try it on yourself',
        words: 'Go through it alone, read its mail, click and see what follows.',
        links: inJourney('tryout', 'Try it'),
      }
    case 'OPEN':
      return {
        title: 'Open it',
        words: 'From then on people enter, here against stand-ins until you say otherwise.',
        links: inJourney('workbench', 'Go to it'),
      }
  }
}

const next = computed(() => view.value?.steps.find((one) => !one.done)?.step ?? null)

async function putAway() {
  await answerOf(api.PUT('/api/first-steps', { body: { putAway: true } }))
  await outdated('first-steps')
}
</script>

<template>
  <section
    v-if="view && !view.putAway"
    class="panel mb-3 overflow-hidden"
    aria-labelledby="first-steps"
  >
    <div class="panel-head">
      <h2 id="first-steps">First steps</h2>
      <span class="note">{{
        next === null ? 'all of them are done' : 'in the order in which one takes them'
      }}</span>
      <button type="button" class="button button-small ml-auto" @click="putAway">
        Put them away
      </button>
    </div>
    <ol class="grid grid-cols-3 gap-px bg-line2">
      <li
        v-for="({ step, done }, n) in view.steps"
        :key="step"
        class="flex gap-3 bg-panel px-3 py-2.5"
        :class="{ 'bg-marigold-soft!': step === next }"
        :aria-current="step === next ? 'step' : undefined"
      >
        <span
          class="figure flex size-6 shrink-0 items-center justify-center rounded-full"
          :class="done ? 'bg-vine text-white' : 'border border-line bg-panel'"
          aria-hidden="true"
          >{{ done ? '✓' : n + 1 }}</span
        >
        <span>
          <b>{{ said(step).title }}</b>
          <span class="note ml-1.5">{{ done ? 'done' : step === next ? 'next' : '' }}</span>
          <span class="block text-ink2">{{ said(step).words }}</span>
          <span class="mt-0.5 flex gap-3">
            <RouterLink
              v-for="link in said(step).links"
              :key="link.name"
              class="underline"
              :to="link.to"
              >{{ link.name }}</RouterLink
            >
          </span>
        </span>
      </li>
    </ol>
  </section>
</template>
