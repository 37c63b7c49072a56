<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, useId, useTemplateRef, watch } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { ConditionDocument } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'
import { count, percent } from '@/ui/figures'
import { useWaysBelow } from '@/ui/useTypedLine'
import WaysToGoOn from '@/ui/WaysToGoOn.vue'
import ChooseWho from './ChooseWho.vue'
import { useWho } from './useWho'

/**
 * Who is meant, as a sentence in the words of a journey's conditions. Whatever is understood is
 * found at once; what is not leaves the people that were found before.
 */
const props = defineProps<{ everybody: number }>()
const sentence = defineModel<string>({ required: true })

const list = useId()
const hint = useId()
const line = useWho(sentence.value)
const { text, caret, view, completions, trouble, read, readSoon } = line

const meant = computed(() => view.value?.meant ?? null)
const unclear = computed(() => view.value?.unclear ?? null)
/** A sentence that only stops too early is not wrong yet. */
const unfinished = computed(() => {
  const problem = unclear.value
  if (!problem || problem.asks) return false
  const begun = completions.value.some((one) => one.from === problem.from)
  const end = text.value.trimEnd().length
  return problem.from >= end || (caret.value >= end && begun)
})
const wrong = computed(() => (unclear.value && !unfinished.value ? unclear.value : null))
const { field, focused, closed, ways, active, move, open, onCaret, take, chosen, onTab } =
  useWaysBelow(line, wrong)

onMounted(read)
watch(meant, (now) => now && (sentence.value = text.value))

function onInput() {
  text.value = field.value!.value
  closed.value = false
  onCaret()
  void readSoon()
}

function onEnter() {
  const way = chosen()
  if (way) void take(way)
  else closed.value = true
}

/** Whether who is meant is chosen part by part; the last sentence that was understood stays there. */
const choosing = ref(false)
const understood = shallowRef<ConditionDocument | null>(null)
watch(meant, (now) => now && (understood.value = now.condition ?? null))

async function said(sentence: string) {
  text.value = sentence
  caret.value = sentence.length
  closed.value = true
  await read()
}

/** Under which name those who are found are kept; null as long as nobody asks for it. */
const keepAs = ref<string | null>(null)
const kept = ref<string | null>(null)
const keepField = useTemplateRef<HTMLInputElement>('keepField')
const { failure: notKept, attempt } = useAttempt()
watch(text, () => (kept.value = null))

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
    <div class="flex items-center gap-3">
      <label :for="`${list}-field`" class="text-ink2">All who</label>
      <div class="relative min-w-0 flex-1">
        <div
          v-if="wrong"
          class="pointer-events-none absolute inset-0 flex items-center overflow-hidden px-2.5 whitespace-pre text-transparent"
          aria-hidden="true"
        >
          {{ text.slice(0, wrong.from)
          }}<span class="underline decoration-clay decoration-wavy underline-offset-4">{{
            text.slice(wrong.from, wrong.to) || ' '
          }}</span>
        </div>
        <input
          :id="`${list}-field`"
          ref="field"
          class="field"
          role="combobox"
          autocomplete="off"
          autocapitalize="off"
          spellcheck="false"
          maxlength="2000"
          aria-autocomplete="list"
          :aria-expanded="open"
          :aria-controls="list"
          :aria-describedby="hint"
          :aria-activedescendant="open && active >= 0 ? `${list}-${active}` : undefined"
          :aria-invalid="!!wrong"
          :value="text"
          placeholder="are on list … and bought anything in the last 30 days"
          @input="onInput"
          @keyup="onCaret"
          @click="onCaret"
          @focus="focused = true"
          @blur="focused = false"
          @keydown.down.prevent="open && move(1)"
          @keydown.up.prevent="open && move(-1)"
          @keydown.enter.prevent="onEnter"
          @keydown.tab="onTab"
          @keydown.esc="closed = true"
        />
      </div>
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
    </div>
    <p
      :id="hint"
      class="note mt-1 min-h-4.5 pl-15"
      :class="{ 'text-clay!': wrong || trouble || notKept }"
      aria-live="polite"
    >
      <template v-if="trouble">{{ trouble }}</template>
      <template v-else-if="notKept">{{ notKept }}</template>
      <template v-else-if="kept"
        >Kept: journeys and sentences know them as “in segment {{ kept }}”.</template
      >
      <template v-else-if="wrong">{{ wrong.why }}</template>
      <template v-else-if="meant?.news.length"
        >Nobody has to do with the {{ meant.news.join(', the ') }} yet.</template
      >
      <template v-else
        >In the words of a journey’s conditions. <kbd>Tab</kbd> takes the first way to go
        on.</template
      >
    </p>
    <WaysToGoOn
      :id="list"
      :open="open"
      :field="field"
      :completions="ways"
      :active="active"
      @take="take"
    />
    <ChooseWho v-if="choosing" :condition="understood" @said="said" />
  </section>
</template>
