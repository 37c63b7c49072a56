<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { useEventListener, watchDebounced } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { onBeforeRouteLeave, useRoute, useRouter } from 'vue-router'
import { questions } from '@/api/queries'
import DraftInput from '@/ui/DraftInput.vue'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import ChecksPanel from './ChecksPanel.vue'
import ComposerHead from './ComposerHead.vue'
import HowItDoes from './HowItDoes.vue'
import LostRace from './LostRace.vue'
import ManuscriptPanel from './ManuscriptPanel.vue'
import { useManuscript } from './manuscriptStore'
import MessageVersions from './MessageVersions.vue'
import ProofPanel from './ProofPanel.vue'
import TestSend from './TestSend.vue'
import TextPanel from './TextPanel.vue'
import TextProof from './TextProof.vue'
import { useProof } from './useProof'

const props = defineProps<{ id: string }>()
const store = useManuscript()
const router = useRouter()
const route = useRoute()
const { proof, trouble, reader, dark, again } = useProof()
const manuscript = useTemplateRef<InstanceType<typeof ManuscriptPanel>>('manuscript')
const side = ref<'proof' | 'versions' | 'test'>('proof')

watch(
  () => props.id,
  async (id) => {
    await store.open(id)
    if (typeof route.query['part'] === 'string') store.selected = route.query['part']
  },
  { immediate: true },
)

/* The address names the chosen part, so that a reload comes back to it. */
let leaving = false
onBeforeRouteLeave(() => void (leaving = true))
watchDebounced(
  () => store.selected,
  (part) => {
    if (!leaving) void router.replace({ query: part ? { part } : {} })
  },
  { debounce: 150 },
)

/* At first it is seen as the newest of the people sees it. */
let begun = false
const people = useQuery({ ...questions.somePeople(), staleTime: Infinity })
watch(
  () => people.data.value?.items[0],
  (first) => {
    if (!first || begun) return
    begun = true
    reader.value = { kind: 'known', id: first.id, name: first.name ?? first.address }
  },
  { immediate: true },
)

function rename(name: string) {
  if (name.trim()) store.edit('renamed the message', (one) => ({ ...one, name: name.trim() }))
}

const isText = computed(() => store.draft?.manuscript.kind === 'text')

useEventListener('beforeunload', (event: BeforeUnloadEvent) => {
  if (store.save.status !== 'saved') event.preventDefault()
})
useTabTitle(() => store.draft?.name)
</script>

<template>
  <main class="flex flex-col">
    <Trouble v-if="store.loadFailure" class="m-4" :text="store.loadFailure" />
    <template v-if="store.draft && store.sheet?.id === id">
      <header class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-2">
        <h1 class="min-w-0 text-page">
          <DraftInput
            class="w-90 max-w-full rounded-md border border-transparent bg-transparent px-1 font-display font-semibold hover:border-line focus:bg-panel"
            aria-label="Name of the message"
            :value="store.draft.name"
            maxlength="80"
            @change="rename(($event.target as HTMLInputElement).value)"
          />
        </h1>
        <ComposerHead
          :side="side"
          :text="isText"
          @versions="side = side === 'versions' ? 'proof' : 'versions'"
          @test="side = side === 'test' ? 'proof' : 'test'"
        />
      </header>
      <div v-if="store.save.status === 'refused'" class="flex items-center gap-2 px-3 pb-2">
        <Trouble
          class="flex-1"
          :text="`Not saved: ${store.save.reason} Nothing is lost; change it or undo.`"
        />
        <button type="button" class="button" @click="store.saveAgain">Save again</button>
      </div>
      <LostRace v-if="store.save.status === 'lost'" :problem="store.save.problem" />
      <div class="grid min-h-0 flex-1 grid-cols-[minmax(430px,45%)_1fr] gap-3 px-3 pb-3">
        <TextPanel v-if="isText" :proof="proof" />
        <ManuscriptPanel v-else ref="manuscript" :bytes="proof?.bytes ?? null" />
        <MessageVersions v-if="side === 'versions'" @close="side = 'proof'" />
        <TestSend
          v-else-if="side === 'test'"
          :reader="reader"
          :called="proof?.called ?? ''"
          @close="side = 'proof'"
        />
        <div v-else class="grid min-h-0 grid-rows-[minmax(0,1fr)_auto] gap-3">
          <TextProof v-if="isText" v-model:reader="reader" :proof="proof" :trouble="trouble" />
          <ProofPanel
            v-else
            v-model:reader="reader"
            v-model:dark="dark"
            :proof="proof"
            :trouble="trouble"
            @choose="(part) => manuscript?.choose(part)"
            @again="again"
          />
          <div class="grid max-h-52 min-h-0 grid-cols-[1fr_minmax(220px,34%)] gap-3">
            <ChecksPanel @choose="(part) => manuscript?.choose(part)" />
            <HowItDoes :id="id" />
          </div>
        </div>
      </div>
    </template>
  </main>
</template>
