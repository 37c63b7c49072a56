<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, shallowRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { questions } from '@/api/queries'
import type { ConditionDocument } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import ConditionEditor from '@/features/workbench/editors/ConditionEditor.vue'
import Trouble from '@/ui/Trouble.vue'

/** Who is meant, chosen instead of typed; the sentence follows. */
const props = defineProps<{ condition: ConditionDocument | null }>()
const emit = defineEmits<{ said: [sentence: string] }>()

const names = useQuery(() => questions.registeredNames())
const { failure, attempt } = useAttempt()

/** What a first question is about: a list that there is. */
const first = computed<ConditionDocument>(() => ({
  kind: 'onList',
  list: names.data.value?.find((one) => one.kind === 'LIST')?.name ?? 'Newcomers',
}))

/* An edit shows at once, and the next one builds on it, before the sentence has come back. */
const shown = shallowRef(props.condition)
let newest = 0
let pending = 0
watch(
  () => props.condition,
  (condition) => {
    if (pending === 0) shown.value = condition
  },
)

async function say(condition: ConditionDocument) {
  const number = ++newest
  shown.value = condition
  pending++
  await attempt(async () => {
    const { says } = await answerOf(api.POST('/api/people/sentences', { body: { condition } }))
    if (number === newest) emit('said', says)
  })
  pending--
}
</script>

<template>
  <div class="mt-1 border-t border-line2 pt-2 pl-15" role="group" aria-label="Choose who is meant">
    <ConditionEditor v-if="shown" :condition="shown" :emails="[]" people @change="say" />
    <p v-else class="flex items-center gap-3">
      <span class="text-ink2">Everybody, as long as nothing is asked.</span>
      <button
        type="button"
        class="button button-small"
        :disabled="names.isPending.value"
        @click="say(first)"
      >
        Ask something
      </button>
    </p>
    <p v-if="shown" class="mt-1.5">
      <button type="button" class="text-note underline" @click="emit('said', '')">
        Ask nothing
      </button>
    </p>
    <Trouble v-if="failure" class="mt-1" :text="failure" />
  </div>
</template>
