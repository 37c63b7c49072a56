<script setup lang="ts">
import { computed, ref } from 'vue'
import type { NewsView } from '@/api/types'
import FindingLines from '@/features/newsletters/FindingLines.vue'
import { count } from '@/ui/figures'

/** What news on a rhythm does, and the keys that turn it on and off. */
const props = defineProps<{
  on: boolean
  skips: boolean
  review: string[]
  findings: NewsView['findings']
  people: number
  fresh: number
  changed: boolean
  busy: boolean
}>()
const emit = defineEmits<{
  on: [evenSoMany: boolean]
  off: []
  skip: [skips: boolean]
  early: [evenSoMany: boolean]
  putAway: []
}>()

/** More than the usual number get it: that is said, and meant. */
const many = computed(() => props.findings.some((one) => one.code === 'many'))
const meansIt = ref(false)
const errors = computed(() => props.findings.filter((one) => one.severity === 'ERROR'))
const held = computed(
  () => props.busy || props.changed || errors.value.length > 0 || (many.value && !meansIt.value),
)
const asksNow = ref(false)

function early() {
  asksNow.value = false
  emit('early', meansIt.value)
}
</script>

<template>
  <section class="panel flex flex-col gap-3 p-4" aria-labelledby="review">
    <h2 id="review" class="flex items-baseline gap-2 font-display text-empty font-bold">
      What it does <span class="note font-normal">{{ on ? 'on' : 'off' }}</span>
    </h2>
    <ol class="grid gap-1 border-l-2 border-line pl-3" aria-label="What it does">
      <li v-for="line in review" :key="line">{{ line }}</li>
    </ol>
    <p class="text-ink2">
      {{ count(people) }} {{ people === 1 ? 'person gets' : 'people get' }} it, as people are now.
    </p>
    <FindingLines v-model="meansIt" :findings="findings" asks />
    <p class="flex flex-wrap items-center gap-2">
      <template v-if="on">
        <button type="button" class="button" :disabled="busy" @click="emit('off')">
          Turn it off
        </button>
        <button type="button" class="button" :disabled="busy" @click="emit('skip', !skips)">
          {{ skips ? 'Do not skip the next issue' : 'Skip the next issue' }}
        </button>
        <button
          v-if="!asksNow"
          type="button"
          class="button"
          :disabled="held || fresh === 0"
          @click="asksNow = true"
        >
          Send an issue now
        </button>
        <template v-else>
          <span>What is new, at the next minute, to {{ count(people) }}?</span>
          <button type="button" class="button button-small" :disabled="held" @click="early">
            Send
          </button>
          <button type="button" class="button button-small" @click="asksNow = false">
            Not yet
          </button>
        </template>
      </template>
      <template v-else>
        <button
          type="button"
          class="button button-main"
          :disabled="held"
          @click="emit('on', meansIt)"
        >
          Turn it on
        </button>
        <button type="button" class="button button-small" :disabled="busy" @click="emit('putAway')">
          Put it away
        </button>
      </template>
      <slot />
      <span v-if="changed" class="note">Save it first.</span>
    </p>
  </section>
</template>
