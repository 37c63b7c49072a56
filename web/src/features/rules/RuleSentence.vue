<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { RuleMeant } from '@/api/types'
import SentenceField from '@/ui/SentenceField.vue'
import { readRule } from './readRule'

/** A rule as it is typed: how it is understood, and what it would have done lately. */
const sentence = defineModel<string>({ required: true })
const emit = defineEmits<{ meant: [meant: RuleMeant | null] }>()

const meant = ref<RuleMeant | null>(null)
const {
  data: lately,
  error,
  isFetching,
} = useQuery(
  computed(() => ({ ...questions.ruleLately(sentence.value), enabled: meant.value !== null })),
)

function understood(now: RuleMeant | null) {
  meant.value = now
  emit('meant', now)
}
</script>

<template>
  <div>
    <SentenceField
      v-model="sentence"
      label="Rule"
      placeholder="when someone buys something from Hives, tag buyer and hand over to After the hive"
      above
      :ask="readRule"
      @meant="(now: RuleMeant) => understood(now)"
      @unclear="understood(null)"
    >
      <template #note="{ meant: now }">
        <template v-if="now">
          {{ now.sentence }}.
          <b v-if="now.news.length" class="font-semibold">Brings {{ now.news.join(', ') }}.</b>
        </template>
        <template v-else
          >When what happens, for whom if not for all, and what is done at once.
          <kbd>Tab</kbd> takes the first way to go on.</template
        >
      </template>
    </SentenceField>
    <!-- On the right: the ways to go on open on the left. -->
    <div class="mt-1 flex items-center justify-end gap-3">
      <p class="note" role="status">
        <template v-if="!meant"></template>
        <template v-else-if="error">{{ reasonOf(error) }}</template>
        <template v-else-if="lately && !isFetching">{{ lately.sentence }}</template>
        <template v-else>Looking at the last 30 days …</template>
      </p>
      <slot />
    </div>
  </div>
</template>
