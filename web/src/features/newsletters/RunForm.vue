<script setup lang="ts">
import { computed, ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated } from '@/api/queries'
import type { NewsletterLine } from '@/api/types'
import { useForm } from '@/api/useForm'
import { shortMoment } from '@/ui/moments'

/** More like a newsletter, planned in one sitting: "every week, five more of them". */
const props = defineProps<{ id: number; timed: boolean; changed: boolean }>()

const UNITS = [
  { key: 'DAYS', one: 'day', many: 'days' },
  { key: 'WEEKS', one: 'week', many: 'weeks' },
  { key: 'MONTHS', one: 'month', many: 'months' },
] as const

const { told, busy, send } = useForm()
const every = ref(1)
const unit = ref<(typeof UNITS)[number]['key']>('WEEKS')
const count = ref(4)
const made = ref<NewsletterLine[]>([])
const held = computed(() => busy.value || !props.timed || props.changed)

async function make() {
  await send(async () => {
    made.value = await answerOf(
      api.POST('/api/newsletters/{id}/runs', {
        params: { path: { id: props.id } },
        body: { count: count.value, every: every.value, unit: unit.value },
      }),
    )
    await Promise.all([outdated('newsletters'), outdated('calendar')])
  })
}
</script>

<template>
  <form class="flex flex-wrap items-center gap-2" aria-label="More of these" @submit.prevent="make">
    <span>More of these: every</span>
    <input
      v-model.number="every"
      type="number"
      class="field w-14!"
      min="1"
      max="52"
      aria-label="Every"
    />
    <select v-model="unit" class="field w-24!" aria-label="Unit">
      <option v-for="one in UNITS" :key="one.key" :value="one.key">
        {{ every === 1 ? one.one : one.many }}
      </option>
    </select>
    <input
      v-model.number="count"
      type="number"
      class="field w-14!"
      min="1"
      max="26"
      aria-label="So many more"
    />
    <span>more</span>
    <button class="button button-small" :disabled="held">Make them</button>
    <span v-if="!timed" class="note">Say first when this one goes out.</span>
    <span v-else-if="changed" class="note">Save it first.</span>
    <p v-if="told" class="warning w-full" role="alert">{{ told }}</p>
    <ul v-if="made.length" class="grid w-full gap-0.5" aria-label="Made">
      <li v-for="one in made" :key="one.id" class="flex gap-2">
        <RouterLink
          class="font-semibold hover:underline"
          :to="{ name: 'newsletter', params: { id: one.id } }"
          >{{ one.name }}</RouterLink
        >
        <span v-if="one.firstAt" class="note">draft, {{ shortMoment(one.firstAt) }}</span>
      </li>
    </ul>
  </form>
</template>
