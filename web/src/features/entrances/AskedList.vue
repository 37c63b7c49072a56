<script setup lang="ts">
import { computed, ref } from 'vue'
import type { AskedDocument } from '@/api/types'
import { fresh, nameOf, ONCE, stillToAsk } from './asked'

/** What a form asks, in its order. */
withDefaults(defineProps<{ title?: string; first?: string }>(), { title: 'What it asks' })
const asks = defineModel<AskedDocument[]>({ required: true })

const field = ref('')
const more = computed(() => stillToAsk(asks.value))

function put(change: (asks: AskedDocument[]) => void) {
  const copy = [...asks.value]
  change(copy)
  asks.value = copy
}

function up(at: number) {
  put((all) => all.splice(at - 1, 0, ...all.splice(at, 1)))
}

function replace(at: number, asked: AskedDocument) {
  put((all) => all.splice(at, 1, asked))
}

function addField() {
  const name = field.value.trim()
  if (name) put((all) => all.push({ kind: 'field', field: name, words: '', required: false }))
  field.value = ''
}

function addOnce(kind: (typeof ONCE)[number]['kind']) {
  put((all) => all.push(fresh(kind)))
}
</script>

<template>
  <div>
    <h3 class="label">{{ title }}</h3>
    <ol class="grid gap-1.5" :aria-label="title">
      <li v-if="first" class="note">{{ first }}</li>
      <li
        v-for="(asked, at) in asks"
        :key="nameOf(asked)"
        class="grid grid-cols-[6.5rem_minmax(0,1fr)_auto] items-center gap-2"
      >
        <span class="truncate font-semibold" :title="nameOf(asked)">{{ nameOf(asked) }}</span>
        <input
          v-if="asked.kind === 'field' || asked.kind === 'texts'"
          class="field"
          :value="asked.words"
          :placeholder="asked.kind === 'field' ? asked.field : ''"
          :aria-label="`${nameOf(asked)}: how it is asked`"
          maxlength="200"
          @input="replace(at, { ...asked, words: ($event.target as HTMLInputElement).value })"
        />
        <span v-else />
        <span class="flex items-center gap-2">
          <label v-if="asked.kind !== 'texts'" class="flex items-center gap-1">
            <input
              type="checkbox"
              :checked="asked.required"
              @change="
                replace(at, { ...asked, required: ($event.target as HTMLInputElement).checked })
              "
            />
            needed
          </label>
          <button
            type="button"
            class="button button-small"
            :disabled="at === 0"
            :aria-label="`${nameOf(asked)}: earlier`"
            @click="up(at)"
          >
            ↑
          </button>
          <button
            type="button"
            class="button button-small"
            :aria-label="`${nameOf(asked)}: do not ask`"
            @click="put((all) => all.splice(at, 1))"
          >
            ×
          </button>
        </span>
      </li>
    </ol>
    <p class="mt-2 flex flex-wrap items-center gap-1.5">
      <button
        v-for="one in more"
        :key="one.kind"
        type="button"
        class="button button-small"
        @click="addOnce(one.kind)"
      >
        + {{ one.name }}
      </button>
      <input
        v-model="field"
        class="field w-40!"
        maxlength="80"
        placeholder="another field"
        aria-label="Another field to ask for"
        @keydown.enter.prevent="addField"
      />
      <button type="button" class="button button-small" :disabled="!field.trim()" @click="addField">
        + Field
      </button>
    </p>
  </div>
</template>
