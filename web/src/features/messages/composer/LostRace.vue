<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { reasonOf, type ApiProblem } from '@/api/client'
import { questions } from '@/api/queries'
import type { MessageSheet } from '@/api/types'
import Trouble from '@/ui/Trouble.vue'
import { useManuscript } from './manuscriptStore'

/** Two tabs have saved the same message: both sides, and which holds. */
const props = defineProps<{ problem: ApiProblem }>()
const store = useManuscript()
const failure = ref<string | null>(null)
const busy = ref(false)

const theirs = computed(() => props.problem.current as unknown as MessageSheet)
const differences = useQuery(
  computed(() => ({
    ...questions.messageDifference(theirs.value.manuscript, store.draft!.manuscript),
  })),
)

async function settle(mine: boolean) {
  busy.value = true
  failure.value = null
  try {
    await store.settle(mine)
  } catch (problem) {
    failure.value = reasonOf(problem)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <section class="panel mx-3 mb-2 border-clay!" role="alert" aria-labelledby="lost-race">
    <div class="panel-head bg-clay-soft">
      <h2 id="lost-race" class="text-clay">Two versions of this message</h2>
      <span>{{ problem.detail }} Theirs is version {{ theirs.version }}.</span>
    </div>
    <ul class="max-h-52 overflow-y-auto px-3 py-1" tabindex="0" aria-label="What differs">
      <li
        v-for="(one, i) in differences.data.value"
        :key="i"
        class="border-b border-line2 py-1 last:border-0"
      >
        <b class="mr-2" :class="one.added ? 'text-vine' : 'text-plum'">{{
          one.added ? 'Yours' : 'Theirs'
        }}</b>{{ one.line }}
      </li>
      <li v-if="differences.data.value?.length === 0" class="py-1">Both say the same.</li>
    </ul>
    <div class="flex items-center gap-2 px-3 py-2">
      <button type="button" class="button button-main" :disabled="busy" @click="settle(true)">
        Keep yours
      </button>
      <button type="button" class="button" :disabled="busy" @click="settle(false)">
        Keep theirs
      </button>
      <span class="note">Undo brings back the other one.</span>
    </div>
    <Trouble v-if="failure" class="m-2" :text="failure" />
  </section>
</template>
