<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import type { SearchWish } from '@/api/types'
import { count } from '@/ui/figures'
import { WISHES } from './wish'

/** What is wanted of a variation, and what it must keep to. */
const wish = defineModel<SearchWish>({ required: true })

const what = computed({
  get: () => wish.value.wanted.what,
  set: (other) => (wish.value = { ...wish.value, wanted: { ...wish.value.wanted, what: other } }),
})

function wanted(key: 'emailPrice' | 'mayLose', value: number) {
  wish.value = { ...wish.value, wanted: { ...wish.value.wanted, [key]: value } }
}

/** An empty field is no limit. */
function limit(key: 'unsubscribed' | 'emailsAWeek' | 'emailsAMonth', event: Event, times = 1) {
  const text = (event.target as HTMLInputElement).value
  const value = text === '' ? null : Number(text) / times
  wish.value = { ...wish.value, limits: { ...wish.value.limits, [key]: value } }
}

function number(event: Event): number {
  return Number((event.target as HTMLInputElement).value) || 0
}

const { data: sending } = useQuery(questions.limits())
/** What the plan allows, to be typed off. */
const quota = computed(() => {
  const most = sending.value?.monthlyQuota
  return most ? `quota ${count(most)}` : ''
})

const percent = computed(() => {
  const share = wish.value.limits.unsubscribed
  return share == null ? '' : Number((100 * share).toFixed(4))
})
const limits = computed(
  () => Object.values(wish.value.limits).filter((one) => one !== null && one !== undefined).length,
)
</script>

<template>
  <div class="grid gap-1.5">
    <label class="flex items-center gap-2"
      ><span class="note shrink-0">What is wanted</span>
      <select v-model="what" class="field min-h-7! py-0.5!">
        <option v-for="one in WISHES" :key="one.key" :value="one.key">{{ one.name }}</option>
      </select>
    </label>
    <label v-if="what === 'MONEY'" class="flex items-center gap-2"
      ><span class="note">less what 1,000 emails cost</span>
      <input
        class="field figure min-h-7! w-20! py-0.5!"
        type="number"
        min="0"
        step="any"
        :value="wish.wanted.emailPrice"
        @change="wanted('emailPrice', number($event))"
      />
    </label>
    <label v-if="what === 'FEWER_EMAILS'" class="flex items-center gap-2"
      ><span class="note">the goal may fall by points</span>
      <input
        class="field figure min-h-7! w-20! py-0.5!"
        type="number"
        min="0"
        max="100"
        step="any"
        :value="Number((100 * wish.wanted.mayLose).toFixed(4))"
        @change="wanted('mayLose', number($event) / 100)"
      />
    </label>
    <details :open="limits > 0">
      <summary class="note cursor-pointer">
        {{ limits ? 'It must keep to' : 'Limits, and how many people' }}
      </summary>
      <div class="mt-1 grid gap-1">
        <label class="flex items-center justify-between gap-2"
          ><span class="note">unsubscribed at most, %</span>
          <input
            class="field figure min-h-7! w-30! py-0.5!"
            type="number"
            min="0"
            max="100"
            step="any"
            :value="percent"
            @change="limit('unsubscribed', $event, 100)"
          />
        </label>
        <label class="flex items-center justify-between gap-2"
          ><span class="note">emails a week at most, for anybody</span>
          <input
            class="field figure min-h-7! w-30! py-0.5!"
            type="number"
            min="1"
            :value="wish.limits.emailsAWeek ?? ''"
            @change="limit('emailsAWeek', $event)"
          />
        </label>
        <label class="flex items-center justify-between gap-2"
          ><span class="note">emails a month at most, in all</span>
          <input
            class="field figure min-h-7! w-30! py-0.5!"
            type="number"
            min="1"
            :placeholder="quota"
            :value="wish.limits.emailsAMonth ?? ''"
            @change="limit('emailsAMonth', $event)"
          />
        </label>
        <label class="flex items-center justify-between gap-2"
          ><span class="note">people for each variation</span>
          <input
            class="field figure min-h-7! w-30! py-0.5!"
            type="number"
            min="500"
            max="200000"
            :value="wish.people"
            @change="wish = { ...wish, people: number($event) }"
          />
        </label>
      </div>
    </details>
  </div>
</template>
