<script setup lang="ts">
import { nextTick, ref, shallowRef, useTemplateRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { ConditionDocument, WhoView } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { count, percent } from '@/ui/figures'
import ChooseWho from './ChooseWho.vue'
import WhoField from './WhoField.vue'

/**
 * Who is meant, as a sentence in the words of a journey's conditions. Whatever is understood is
 * found at once; what is not leaves the people that were found before.
 */
const props = defineProps<{ everybody: number }>()
const sentence = defineModel<string>({ required: true })

const line = useTemplateRef<InstanceType<typeof WhoField>>('line')

/** Whether who is meant is chosen part by part; the last sentence that was understood stays there. */
const choosing = ref(false)
const understood = shallowRef<ConditionDocument | null>(null)

function onMeant(meant: NonNullable<WhoView['meant']>) {
  understood.value = meant.condition ?? null
}

/** Under which name those who are found are kept; null as long as nobody asks for it. */
const keepAs = ref<string | null>(null)
const kept = ref<string | null>(null)
const keepField = useTemplateRef<HTMLInputElement>('keepField')
const { failure: notKept, attempt } = useAttempt()
watch(sentence, () => (kept.value = null))

async function askName() {
  keepAs.value = ''
  await nextTick()
  keepField.value?.focus()
}

async function keep() {
  const name = keepAs.value?.trim()
  if (!name) return
  const done = await attempt(() =>
    answerOf(api.POST('/api/people/segments', { body: { name, find: sentence.value } })),
  )
  if (!done) return
  keepAs.value = null
  kept.value = name
  await outdated('library', 'segments')
}
</script>

<template>
  <section class="panel px-3 py-2" aria-label="Who is found">
    <WhoField ref="line" v-model="sentence" label="All who" @meant="onMeant">
      <template #default="{ meant }">
        <p v-if="meant" class="shrink-0 whitespace-nowrap" aria-live="polite">
          <b class="figure text-lead">{{ count(meant.found) }}</b>
          <span v-if="props.everybody" class="note ml-2">{{
            percent(meant.found / props.everybody, 1)
          }}</span>
        </p>
        <button
          type="button"
          class="button button-small shrink-0"
          :aria-expanded="choosing"
          @click="choosing = !choosing"
        >
          Choose
        </button>
        <button
          v-if="meant && sentence.trim() && keepAs === null"
          type="button"
          class="button button-small shrink-0"
          @click="askName"
        >
          Keep as a segment
        </button>
        <form
          v-if="keepAs !== null"
          class="flex shrink-0 items-center gap-1.5"
          aria-label="Keep as a segment"
          @submit.prevent="keep"
          @keydown.esc="keepAs = null"
        >
          <input
            ref="keepField"
            v-model="keepAs"
            class="field w-36!"
            maxlength="80"
            aria-label="Name of the segment"
            placeholder="its name"
          />
          <button type="submit" class="button button-small">Keep</button>
          <button type="button" class="button button-small" @click="keepAs = null">Cancel</button>
        </form>
      </template>
      <template v-if="notKept || kept" #note>
        <span v-if="notKept" class="text-clay">{{ notKept }}</span>
        <template v-else
          >Kept: journeys and sentences know them as “in segment {{ kept }}”.</template
        >
      </template>
    </WhoField>
    <ChooseWho v-if="choosing" :condition="understood" @said="(other) => line?.say(other)" />
  </section>
</template>
