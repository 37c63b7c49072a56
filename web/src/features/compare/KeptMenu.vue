<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { ComparedBy, KeptComparison } from '@/api/types'
import { useAttempt } from '@/api/useAttempt'

/** Comparisons kept under a name: what they show, not their figures, which are read anew. */
const props = defineProps<{ now: Required<ComparedBy> | null }>()
const emit = defineEmits<{ open: [kept: KeptComparison] }>()

const { data: all, error } = useQuery(questions.keptComparisons())
const name = ref('')
const { failure, attempt } = useAttempt(error)

const change = (work: () => Promise<unknown>) =>
  attempt(async () => {
    await work()
    await outdated('kept-comparisons')
  })

async function keep() {
  const now = props.now
  if (!now) return
  const kept = await change(() =>
    answerOf(api.POST('/api/kept-comparisons', { body: { name: name.value, ...now } })),
  )
  if (kept) name.value = ''
}

const forget = (id: number) =>
  change(() => answerOf(api.DELETE('/api/kept-comparisons/{id}', { params: { path: { id } } })))
</script>

<template>
  <Popover class="relative">
    <PopoverButton class="button">Kept</PopoverButton>
    <PopoverPanel v-slot="{ close }" class="panel absolute right-0 z-20 mt-1 w-82.5 py-2">
      <form v-if="now" class="flex gap-1 px-3 pb-2" @submit.prevent="keep">
        <input
          v-model="name"
          class="field min-h-6.5!"
          placeholder="A name for this comparison"
          aria-label="Name of the comparison"
          maxlength="80"
          required
        />
        <button type="submit" class="button button-small">Keep</button>
      </form>
      <p v-if="failure" class="px-3 text-clay" role="alert">{{ failure }}</p>
      <p v-if="all?.length === 0" class="px-3 text-ink2">No comparison is kept yet.</p>
      <ul>
        <li
          v-for="one in all"
          :key="one.id"
          class="flex items-center gap-1 border-t border-line2 px-3 py-1"
        >
          <button
            type="button"
            class="flex-1 text-left hover:underline"
            @click="(emit('open', one), close())"
          >
            {{ one.name }} <span class="note">{{ one.runs.length }} runs</span>
          </button>
          <button
            type="button"
            class="button button-small"
            :aria-label="`Forget ${one.name}`"
            @click="forget(one.id)"
          >
            Forget
          </button>
        </li>
      </ul>
    </PopoverPanel>
  </Popover>
</template>
