<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf, Refused } from '@/api/client'
import type { ImportView } from '@/api/types'
import Sentence from '@/ui/Sentence.vue'
import Trouble from '@/ui/Trouble.vue'

/** Brings in a journey file: first what it will add and what clashes, then the button. */
const emit = defineEmits<{ done: [id: number]; cancel: [] }>()

const text = ref('')
const found = shallowRef<ImportView | null>(null)
const overwrite = ref<string[]>([])
const busy = ref(false)
const failure = ref<string | null>(null)
const problems = shallowRef<{ place: string; sentence: string }[]>([])

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  found.value = null
  overwrite.value = []
  text.value = await file.text()
  await send(false)
}

/** What is found in a file is seen until another is chosen, also where it could not be brought in. */
async function send(keep: boolean) {
  const sent = text.value
  failure.value = null
  problems.value = []
  busy.value = true
  try {
    const answer = await answerOf(
      api.POST('/api/imports', { body: { text: sent, keep, overwrite: overwrite.value } }),
    )
    if (sent !== text.value) return
    found.value = answer
    if (answer.id !== null) emit('done', answer.id)
  } catch (problem) {
    if (sent !== text.value) return
    failure.value = reasonOf(problem)
    problems.value = problem instanceof Refused ? (problem.problem.problems ?? []) : []
  } finally {
    if (sent === text.value) busy.value = false
  }
}
</script>

<template>
  <section class="panel p-3" aria-label="Import a journey" @keydown.esc="emit('cancel')">
    <div class="flex items-end gap-3">
      <label class="flex-1">
        <span class="label">Journey file (.json)</span>
        <input class="field" type="file" accept=".json,application/json" @change="choose" />
      </label>
      <button
        v-if="found"
        type="button"
        class="button button-main"
        :disabled="busy"
        @click="send(true)"
      >
        Bring it in as a draft
      </button>
      <button type="button" class="button" @click="emit('cancel')">Cancel</button>
    </div>
    <Trouble v-if="failure" class="mt-2" :text="failure" />
    <ul v-if="problems.length > 1" class="mt-1 pl-4">
      <li v-for="(problem, i) in problems" :key="i">
        {{ problem.sentence }} <span class="note">{{ problem.place }}</span>
      </li>
    </ul>
    <div v-if="found" class="mt-3 grid grid-cols-2 gap-4">
      <div>
        <h2 class="text-lead">{{ found.name }}</h2>
        <p v-if="found.note" class="note">{{ found.note }}</p>
        <p class="mt-1"><Sentence :phrase="found.sheet.opening.sentence" /></p>
        <ol class="mt-1 max-h-48 overflow-y-auto text-ink2" tabindex="0" aria-label="Its steps">
          <li
            v-for="row in found.sheet.rows"
            :key="row.id"
            :style="{ paddingLeft: `${row.depth * 12}px` }"
          >
            <Sentence :phrase="row.sentence" />
          </li>
        </ol>
      </div>
      <div>
        <h3 class="font-semibold">What it adds</h3>
        <p v-if="found.adds.length === 0" class="text-ink2">Only the journey: all else is here.</p>
        <ul>
          <li v-for="sentence in found.adds" :key="sentence">{{ sentence }}</li>
        </ul>
        <template v-if="found.clashes.length">
          <h3 class="mt-2 font-semibold text-clay">What clashes</h3>
          <ul>
            <li v-for="clash in found.clashes" :key="clash.key" class="mb-1">
              {{ clash.sentence }}
              <label class="flex items-center gap-1.5"
                ><input v-model="overwrite" type="checkbox" :value="clash.key" /> take the file’s,
                for all journeys that use it</label
              >
            </li>
          </ul>
        </template>
      </div>
    </div>
  </section>
</template>
