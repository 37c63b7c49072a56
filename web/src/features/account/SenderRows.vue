<script setup lang="ts">
import type { SenderPart } from '@/api/types'

/** Who emails come from, the usual one first. */
defineProps<{ wrong: Partial<Record<string, string>> }>()
const senders = defineModel<SenderPart[]>({ required: true })

const PARTS = [
  { key: 'name', name: 'Name in the inbox', hint: 'Mira of Ambercomb' },
  { key: 'address', name: 'Address', hint: 'hello@example.com' },
  { key: 'answersTo', name: 'Answers go to', hint: 'the same' },
] as const

function set(place: number, key: keyof SenderPart, value: string) {
  senders.value = senders.value.map((one, i) =>
    i === place ? { ...one, [key]: key === 'answersTo' ? value || null : value } : one,
  )
}

const add = () => (senders.value = [...senders.value, { name: '', address: '', answersTo: null }])
const remove = (place: number) => (senders.value = senders.value.filter((_, i) => i !== place))
function first(place: number) {
  const chosen = senders.value[place]!
  senders.value = [chosen, ...senders.value.filter((_, i) => i !== place)]
}
</script>

<template>
  <section aria-labelledby="senders">
    <h2 id="senders" class="mb-1.5 text-lead font-bold">Who emails come from</h2>
    <ul class="space-y-2">
      <li
        v-for="(sender, place) in senders"
        :key="place"
        class="grid grid-cols-[1fr_1fr_1fr_12rem] items-start gap-2"
      >
        <div v-for="part in PARTS" :key="part.key">
          <label
            class="label"
            :class="{ 'sr-only': place > 0 }"
            :for="`sender-${place}-${part.key}`"
            >{{ part.name }}<span v-if="place > 0" class="sr-only"> of {{ place + 1 }}</span></label
          >
          <input
            :id="`sender-${place}-${part.key}`"
            class="field"
            :value="sender[part.key] ?? ''"
            :placeholder="part.hint"
            :aria-invalid="!!wrong[`senders/${place}/${part.key}`]"
            @input="set(place, part.key, ($event.target as HTMLInputElement).value)"
          />
          <p
            v-if="wrong[`senders/${place}/${part.key}`]"
            class="mt-0.5 text-note text-clay"
            role="alert"
          >
            {{ wrong[`senders/${place}/${part.key}`] }}
          </p>
        </div>
        <p class="flex min-h-8 items-center gap-2" :class="{ 'mt-5': place === 0 }">
          <span v-if="place === 0" class="note px-2 whitespace-nowrap">the usual one</span>
          <button v-else type="button" class="button button-small" @click="first(place)">
            Make it usual
          </button>
          <button
            type="button"
            class="button button-small ml-auto"
            :aria-label="`Remove sender ${sender.name || place + 1}`"
            @click="remove(place)"
          >
            Remove
          </button>
        </p>
      </li>
    </ul>
    <p v-if="senders.length === 0" class="note">Nobody yet: nothing can be sent.</p>
    <p v-if="wrong.senders" class="mt-0.5 text-note text-clay" role="alert">{{ wrong.senders }}</p>
    <button type="button" class="button button-small mt-2" @click="add">Add a sender</button>
  </section>
</template>
