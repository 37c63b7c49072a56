<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated } from '@/api/queries'
import type { ManyChange, Whom } from '@/api/types'
import { download } from '@/ui/download'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import LikeThemForm from './LikeThemForm.vue'
import ManyForm from './ManyForm.vue'

/** What can be done with the people that are found, or with those of them that are chosen. */
const props = defineProps<{ whom: Whom; found: number; chosen: number }>()
const emit = defineEmits<{ clear: []; done: [] }>()

const WAYS: { change: ManyChange; name: string }[] = [
  { change: 'TAG', name: 'Tag…' },
  { change: 'PUT_ON_LIST', name: 'Put on a list…' },
  { change: 'SET_FIELD', name: 'Set a field…' },
  { change: 'STOP_MAILING', name: 'Stop mailing…' },
]

const open = ref<ManyChange | null>(null)
const likeThem = ref(false)
const failure = ref<string | null>(null)
const writing = ref(false)
const who = computed(() =>
  props.chosen ? `${count(props.chosen)} chosen` : `All ${count(props.found)} found`,
)
watch(
  () => props.whom,
  () => (failure.value = null),
)

function done() {
  open.value = null
  emit('done')
  void outdated('people')
}

/** Whatever is found is written as it is read; nothing but the file itself is held here. */
async function write() {
  writing.value = true
  failure.value = null
  try {
    const table = await answerOf(
      api.POST('/api/people/tables', { body: props.whom, parseAs: 'blob' }),
    )
    download(table as unknown as Blob, 'people.csv')
  } catch (reason) {
    failure.value = reasonOf(reason)
  } finally {
    writing.value = false
  }
}
</script>

<template>
  <div class="border-t border-line">
    <ManyForm
      v-if="open"
      :key="open"
      :whom="whom"
      :first="open"
      @done="done"
      @cancel="open = null"
    />
    <LikeThemForm v-else-if="likeThem" :whom="whom" :who="who" @close="likeThem = false" />
    <div v-else class="flex flex-wrap items-center gap-2 px-3 py-2">
      <b class="font-semibold whitespace-nowrap">{{ who }}</b>
      <button
        v-if="chosen"
        type="button"
        class="min-h-6 text-note underline"
        @click="emit('clear')"
      >
        choose none
      </button>
      <button
        v-for="way in WAYS"
        :key="way.change"
        type="button"
        class="button button-small"
        :disabled="found === 0"
        @click="open = way.change"
      >
        {{ way.name }}
      </button>
      <button
        type="button"
        class="button button-small"
        :disabled="found === 0 || writing"
        @click="write"
      >
        {{ writing ? 'Writing…' : 'Save as a table' }}
      </button>
      <button
        type="button"
        class="button button-small"
        :disabled="found === 0"
        @click="likeThem = true"
      >
        A cohort like them…
      </button>
      <slot />
    </div>
    <Trouble v-if="failure" class="mx-3 mb-2" :text="failure" />
  </div>
</template>
