<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, toRaw } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { ManuscriptDocument } from '@/api/types'
import { useManuscript } from './manuscriptStore'

/** What is wrong with the message, and what could be better, each with a button that mends it. */
const emit = defineEmits<{ choose: [part: string] }>()
const store = useManuscript()

const asked = refDebounced(
  computed(() => store.draft?.manuscript ?? null),
  250,
)
const findings = useQuery(
  computed(() => ({
    ...questions.messageFindings(store.sheet!.id, asked.value as ManuscriptDocument),
    enabled: asked.value !== null,
  })),
)
const all = computed(() => findings.data.value ?? [])
const errors = computed(() => all.value.filter((one) => one.severity === 'ERROR').length)

/** What was found in an earlier state of the message would mend that, and lose what came after. */
const outdated = computed(
  () => findings.isPlaceholderData.value || toRaw(asked.value) !== toRaw(store.draft?.manuscript),
)

function mend(fix: { label: string; manuscript: ManuscriptDocument }) {
  store.edit(fix.label.toLowerCase(), (one) => ({ ...one, manuscript: fix.manuscript }))
}
</script>

<template>
  <section class="panel flex min-h-0 flex-col overflow-hidden" aria-label="Checks">
    <div class="panel-head">
      <h2>Checks</h2>
      <span v-if="all.length" class="text-clay" role="status"
        ><b class="figure">{{ all.length }}</b
        ><template v-if="errors"
          >, {{ errors }} of them {{ errors === 1 ? 'forbids' : 'forbid' }} opening what sends
          it</template
        ></span
      >
      <span v-else-if="findings.isSuccess.value" class="note" role="status">nothing to mend</span>
    </div>
    <div
      class="min-h-0 flex-1 overflow-y-auto p-2"
      tabindex="0"
      role="group"
      aria-label="What the checks find"
    >
      <p v-if="findings.error.value" class="warning" role="alert">
        {{ reasonOf(findings.error.value) }}
      </p>
      <ul class="grid gap-1.5">
        <li v-for="(one, i) in all" :key="i" class="warning flex items-center gap-3">
          <b class="text-clay">{{ one.severity === 'ERROR' ? 'Error' : 'Check' }}</b>
          <span class="flex-1">{{ one.sentence }}</span>
          <button
            v-if="one.part"
            type="button"
            class="button button-small"
            @click="emit('choose', one.part)"
          >
            Show
          </button>
          <button
            v-if="one.fix"
            type="button"
            class="button button-small"
            :disabled="outdated"
            @click="mend(one.fix)"
          >
            {{ one.fix.label }}
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>
