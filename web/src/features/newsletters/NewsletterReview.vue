<script setup lang="ts">
import { computed, ref } from 'vue'
import type { NewsletterFault, NewsletterView } from '@/api/types'
import FindingLines from './FindingLines.vue'
import { PHASES } from './newsletters'

/** What a newsletter does, what is to be known before it goes, and the keys that send it. */
const props = defineProps<{
  phase: NewsletterView['phase']
  review: string[]
  says: string[]
  findings: NewsletterFault[]
  changed: boolean
  busy: boolean
}>()
const emit = defineEmits<{
  plan: [now: boolean, evenSoMany: boolean]
  callBack: []
  copy: []
  putAway: []
}>()

/** More than the usual number get it: that is said, and meant. */
const many = computed(() => props.findings.find((one) => one.code === 'many'))
const meansIt = ref(false)
/** For now a time is not needed. */
const errors = computed(() => props.findings.filter((one) => one.severity === 'ERROR'))
const inTheWayNow = computed(() =>
  errors.value.some((one) => one.code !== 'no-time' && one.code !== 'past'),
)
const held = computed(() => props.busy || props.changed || (!!many.value && !meansIt.value))
const asksNow = ref(false)
</script>

<template>
  <section class="panel flex flex-col gap-3 p-4" aria-labelledby="review">
    <h2 id="review" class="flex items-baseline gap-2 font-display text-empty font-bold">
      What it does <span class="note font-normal">{{ PHASES[phase] }}</span>
    </h2>
    <ol class="grid gap-1 border-l-2 border-line pl-3" aria-label="What it does">
      <li v-for="line in review" :key="line">{{ line }}</li>
    </ol>
    <ul class="grid gap-1" aria-label="What is to be known">
      <li v-for="line in says" :key="line" class="text-ink2">{{ line }}</li>
    </ul>
    <FindingLines v-model="meansIt" :findings="findings" :asks="phase === 'DRAFT'" />
    <template v-if="phase === 'DRAFT'">
      <p class="flex flex-wrap items-center gap-2">
        <button
          type="button"
          class="button button-main"
          :disabled="held || errors.length > 0"
          @click="emit('plan', false, meansIt)"
        >
          Plan it
        </button>
        <button
          v-if="!asksNow"
          type="button"
          class="button"
          :disabled="held || inTheWayNow"
          @click="asksNow = true"
        >
          Send it now
        </button>
        <template v-else>
          <span>At the next minute, to all of them?</span>
          <button
            type="button"
            class="button button-small"
            :disabled="held"
            @click="emit('plan', true, meansIt)"
          >
            Send
          </button>
          <button type="button" class="button button-small" @click="asksNow = false">
            Not yet
          </button>
        </template>
        <span v-if="changed" class="note">Save it first.</span>
      </p>
    </template>
    <p class="flex flex-wrap items-center gap-2">
      <button
        v-if="phase === 'PLANNED'"
        type="button"
        class="button"
        :disabled="busy"
        @click="emit('callBack')"
      >
        Take it out of the plan
      </button>
      <button
        v-if="phase === 'GOING_OUT'"
        type="button"
        class="button button-main"
        :disabled="busy"
        @click="emit('callBack')"
      >
        Call back what has not gone yet
      </button>
      <button type="button" class="button button-small" :disabled="busy" @click="emit('copy')">
        Make a copy
      </button>
      <button
        v-if="phase !== 'PLANNED' && phase !== 'GOING_OUT'"
        type="button"
        class="button button-small"
        :disabled="busy"
        @click="emit('putAway')"
      >
        Put it away
      </button>
      <slot />
    </p>
    <div class="grid gap-2 border-t border-line2 pt-3"><slot name="below" /></div>
  </section>
</template>
