<script setup lang="ts">
import { computed, onMounted, useId, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { SegmentLine } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { count } from '@/ui/figures'
import GoneForGood from '@/ui/GoneForGood.vue'
import Trouble from '@/ui/Trouble.vue'
import { useWho } from '../useWho'
import UseList from './UseList.vue'

/** One segment: who is in it, said by a sentence that can be changed; what uses it. */
const props = defineProps<{ segment: SegmentLine }>()
const emit = defineEmits<{ gone: []; cancel: [] }>()

const id = useId()
const { text: says, caret, view, trouble, read, readSoon } = useWho(props.segment.says)
const { failure, busy, attempt } = useAttempt()

const changed = computed(() => says.value !== props.segment.says)
const path = computed(() => ({ params: { path: { name: props.segment.name } } }))

onMounted(read)
watch(says, (text) => {
  caret.value = text.length
  void readSoon()
})

async function told() {
  await Promise.all([outdated('people'), outdated('library'), outdated('journeys')])
}

async function save() {
  const body = { find: says.value, version: props.segment.version }
  const done = await attempt(() =>
    answerOf(api.PUT('/api/people/segments/{name}', { ...path.value, body })),
  )
  if (done) await told()
}

async function remove() {
  const done = await attempt(() => answerOf(api.DELETE('/api/people/segments/{name}', path.value)))
  if (!done) return
  emit('gone')
  await told()
}
</script>

<template>
  <form
    class="panel flex min-h-0 flex-col gap-2.5 overflow-y-auto px-3 py-2.5"
    aria-label="This segment"
    novalidate
    @submit.prevent="save"
    @keydown.esc="emit('cancel')"
  >
    <h2 class="text-lead font-bold">{{ segment.name }}</h2>
    <div>
      <label class="label" :for="id">All who</label>
      <textarea
        :id="id"
        v-model="says"
        class="field"
        rows="4"
        maxlength="2000"
        :aria-invalid="!!view?.unclear"
        :aria-describedby="`${id}-note`"
      />
      <p
        :id="`${id}-note`"
        class="note mt-0.5 min-h-4.5"
        :class="{ 'text-clay!': view?.unclear || trouble }"
        aria-live="polite"
      >
        <template v-if="trouble">{{ trouble }}</template>
        <template v-else-if="view?.unclear">{{ view.unclear.why }}</template>
        <template v-else-if="view?.meant && changed"
          >{{ count(view.meant.found) }} people instead of {{ count(segment.people) }}.</template
        >
        <template v-else-if="view?.meant">{{ count(view.meant.found) }} people now.</template>
      </p>
    </div>
    <p v-if="changed && segment.usedBy.length" class="note">
      Whatever uses it will mean these people from then on.
    </p>
    <Trouble v-if="failure" :text="failure" />
    <div class="flex gap-2">
      <button type="submit" class="button button-main" :disabled="busy || !changed || !view?.meant">
        Save
      </button>
      <button type="button" class="button" @click="emit('cancel')">Cancel</button>
      <RouterLink
        class="button ml-auto"
        :to="{ name: 'people', query: { find: `are in segment “${segment.name}”` } }"
        >Show them</RouterLink
      >
    </div>
    <UseList :uses="segment.usedBy" />
    <GoneForGood
      ask="Delete…"
      :does="`Delete ${segment.name}`"
      keeps="Keep it"
      :busy="busy"
      @sure="remove"
    >
      <template #consequences
        >Nobody loses anything; the sentence is gone with all its versions.</template
      >
    </GoneForGood>
  </form>
</template>
