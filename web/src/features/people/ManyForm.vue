<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, onMounted, ref, useId, useTemplateRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { questions } from '@/api/queries'
import type { ManyChange, ManyOrder, NameKind, Whom } from '@/api/types'
import { useForm } from '@/api/useForm'

/** One thing that is done to many people: what it will do is said before it is done. */
const props = defineProps<{ whom: Whom; first: ManyChange }>()
const emit = defineEmits<{ done: []; cancel: [] }>()

const OF: Record<ManyChange, { words: string; kind: NameKind | null }> = {
  TAG: { words: 'give the tag', kind: 'TAG' },
  UNTAG: { words: 'take the tag away', kind: 'TAG' },
  PUT_ON_LIST: { words: 'put on list', kind: 'LIST' },
  TAKE_OFF_LIST: { words: 'take off list', kind: 'LIST' },
  SET_FIELD: { words: 'set field', kind: 'FIELD' },
  CLEAR_FIELD: { words: 'clear field', kind: 'FIELD' },
  STOP_MAILING: { words: 'stop mailing', kind: null },
}
const CHANGES = Object.keys(OF) as ManyChange[]

const options = useId()
const change = ref<ManyChange>(props.first)
const name = ref('')
const value = ref('')
const { wrong, told, busy, send } = useForm('name', 'value')
const field = useTemplateRef<HTMLInputElement>('field')
const submit = useTemplateRef<HTMLButtonElement>('submit')
onMounted(() => (field.value ?? submit.value)?.focus())

const kind = computed(() => OF[change.value].kind)
const names = useQuery(() => questions.registeredNames())
const known = computed(() =>
  (names.data.value ?? []).filter((one) => one.kind === kind.value).map((one) => one.name),
)
const order = computed<ManyOrder>(() => ({
  people: props.whom,
  change: change.value,
  name: kind.value ? name.value.trim() : null,
  value: change.value === 'SET_FIELD' ? value.value : null,
}))
const complete = computed(
  () =>
    (!kind.value || order.value.name !== '') &&
    (change.value !== 'SET_FIELD' || value.value.trim() !== ''),
)
const typed = computed(() => JSON.stringify(order.value))
const settled = refDebounced(typed, 200)
const preview = useQuery(() => ({
  ...questions.manyPreview(order.value),
  enabled: complete.value && settled.value === typed.value,
}))
const said = computed(() => (complete.value ? preview.data.value?.sentence : null))
const doubt = computed(
  () =>
    told.value ?? (complete.value && preview.error.value ? reasonOf(preview.error.value) : null),
)

async function carryOut() {
  if (!complete.value) return
  const done = await send(() => answerOf(api.POST('/api/people-acts', { body: order.value })))
  if (done) emit('done')
}
</script>

<template>
  <form
    class="flex flex-wrap items-center gap-2 bg-sunk px-3 py-2"
    aria-label="Do something to these people"
    novalidate
    @submit.prevent="carryOut"
    @keydown.esc="emit('cancel')"
  >
    <select v-model="change" class="field w-40!" aria-label="What is done">
      <option v-for="one in CHANGES" :key="one" :value="one">{{ OF[one].words }}</option>
    </select>
    <input
      v-if="kind"
      ref="field"
      v-model="name"
      class="field w-44!"
      :list="options"
      autocomplete="off"
      aria-label="Its name"
      :aria-invalid="!!wrong.name"
    />
    <datalist :id="options">
      <option v-for="one in known" :key="one" :value="one" />
    </datalist>
    <template v-if="change === 'SET_FIELD'">
      <span class="text-ink2">to</span>
      <input
        v-model="value"
        class="field w-32!"
        aria-label="Its value"
        :aria-invalid="!!wrong.value"
      />
    </template>
    <button
      ref="submit"
      type="submit"
      class="button button-main"
      :disabled="busy || !complete || preview.data.value?.changing === 0"
    >
      Do it
    </button>
    <button type="button" class="button" @click="emit('cancel')">Cancel</button>
    <p class="min-w-60 flex-1" :class="doubt ? 'text-clay' : 'text-ink2'" aria-live="polite">
      {{ doubt ?? said ?? 'Says here what it will do, before it is done; it can be taken back.' }}
    </p>
  </form>
</template>
