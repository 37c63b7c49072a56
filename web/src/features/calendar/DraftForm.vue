<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref, watchEffect } from 'vue'
import { questions } from '@/api/queries'
import { plusDays, shortDay } from './days'

/** Journeys that are not open, shown on the calendar as if they were from a day on. */
const props = defineProps<{
  /** Nothing of it is known while the calendar cannot be told. */
  today: string | undefined
  /** Journeys that stand on the calendar by themselves. */
  running: number[]
  drafts: string[]
}>()
const emit = defineEmits<{ show: [drafts: string[]]; close: [] }>()

const { data: journeys } = useQuery(questions.names())
const journey = ref<number | null>(null)
const day = ref('')
watchEffect(() => {
  if (props.today && !day.value) day.value = plusDays(props.today, 1)
})
const others = computed(() => journeys.value?.filter((one) => !props.running.includes(one.id)))
const perDay = ref(20)
const ready = computed(
  () => journey.value !== null && day.value !== '' && perDay.value >= 1 && perDay.value <= 100_000,
)
const shown = computed(() =>
  props.drafts.map((key) => {
    const [id, from, each] = key.split('~')
    const name = journeys.value?.find((one) => one.id === Number(id))?.name ?? `journey ${id}`
    return { key, says: `${name}, from ${shortDay(from ?? '')}, ${each} a day` }
  }),
)

function add() {
  const before = props.drafts.filter((one) => !one.startsWith(`${journey.value}~`))
  emit('show', [...before, `${journey.value}~${day.value}~${perDay.value}`])
}

function remove(key: string) {
  emit(
    'show',
    props.drafts.filter((one) => one !== key),
  )
}

function close() {
  emit('show', [])
  emit('close')
}
</script>

<template>
  <form
    class="panel flex flex-wrap items-center gap-2 px-3 py-2"
    aria-label="With a draft"
    @submit.prevent="add"
  >
    <label class="flex items-center gap-2">
      As if
      <select v-model="journey" class="field w-56!" aria-label="Journey">
        <option :value="null" disabled>which journey</option>
        <option v-for="one in others" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select>
    </label>
    <label class="flex items-center gap-2 whitespace-nowrap">
      were opened on
      <input v-model="day" type="date" class="field w-36!" :min="today" required />
    </label>
    <label class="flex items-center gap-2 whitespace-nowrap">
      and
      <input v-model.number="perDay" type="number" class="field w-20!" min="1" max="100000" />
      people came a day
    </label>
    <button class="button button-small" :disabled="!ready">Show it</button>
    <span v-for="one in shown" :key="one.key" class="chip">
      {{ one.says }}
      <button
        type="button"
        class="px-1"
        :aria-label="`Without ${one.says}`"
        @click="remove(one.key)"
      >
        ×
      </button>
    </span>
    <button type="button" class="button button-small ml-auto" @click="close">Without drafts</button>
  </form>
</template>
