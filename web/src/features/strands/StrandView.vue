<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, ref } from 'vue'
import DraftInput from '@/ui/DraftInput.vue'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import DifferenceList from '@/features/workbench/DifferenceList.vue'
import { useJourneyStore } from '@/features/workbench/journeyStore'
import KeyHelp from '@/features/workbench/KeyHelp.vue'
import RunSheetPanel from '@/features/workbench/RunSheetPanel.vue'
import { useSelection } from '@/features/workbench/selectionStore'
import StepPanel from '@/features/workbench/StepPanel.vue'
import TrellisPanel from '@/features/workbench/TrellisPanel.vue'
import UndoButtons from '@/editing/UndoButtons.vue'
import { useStrand } from './useStrand'

/** A strand, edited like a journey; and what saving it changes, which is seen before. */
const props = defineProps<{ id: string }>()

const store = useJourneyStore()
const selection = useSelection()
const { view, journey, save, loadFailure } = storeToRefs(store)
const strand = useStrand(props.id)
const { look, kept, refusal, lost } = strand
const help = ref(false)
const changes = computed(() => look.value?.difference.filter((one) => one.kind !== 'SAME') ?? [])
const users = computed(() => look.value?.users ?? [])
const many = computed(() =>
  users.value.length === 1 ? '1 journey' : `${users.value.length} journeys`,
)

selection.select(null)
void store.openFrom(strand.source)

async function discard() {
  strand.discard()
  const document = kept.value!.document
  store.edit('discard the changes', (whole) => ({
    ...whole,
    name: document.name,
    body: document.body,
  }))
}

function rename(event: Event) {
  const name = (event.target as HTMLInputElement).value.trim()
  if (name) store.edit('rename', (whole) => ({ ...whole, name }))
}

useTabTitle(() => journey.value?.name)
</script>

<template>
  <main class="flex flex-col">
    <Trouble v-if="loadFailure" class="m-4" :text="loadFailure" />
    <template v-if="journey && view && look && store.ofStrand">
      <header class="flex shrink-0 items-center gap-2 px-4 pt-2.5 pb-2">
        <h1 class="text-page">{{ journey.name }}</h1>
        <span class="chip">strand</span>
        <span class="note ml-auto" role="status">{{
          changes.length ? 'Not saved yet; kept in this tab' : `Saved · v${kept?.version}`
        }}</span>
        <UndoButtons :edits="store" />
        <button type="button" class="button" :disabled="!changes.length" @click="discard">
          Discard the changes
        </button>
        <button
          type="button"
          class="button button-main"
          :disabled="!changes.length || lost || save.status !== 'saved'"
          @click="strand.keep"
        >
          {{ users.length ? `Save for ${many}` : 'Save' }}
        </button>
      </header>
      <div v-if="save.status === 'refused' || refusal" class="flex items-center gap-2 px-3 pb-2">
        <Trouble
          class="flex-1"
          :text="refusal ?? (save.status === 'refused' ? `${save.reason} Undo it here.` : '')"
        />
        <button v-if="lost" type="button" class="button" @click="strand.goOnFromTheirs">
          See what mine changes in theirs
        </button>
      </div>
      <div
        class="grid min-h-0 flex-1 grid-cols-[minmax(390px,31%)_1fr] grid-rows-[minmax(0,1.25fr)_minmax(0,1fr)] gap-3 px-3 pb-3"
      >
        <RunSheetPanel class="row-span-2" @help="help = !help" />
        <KeyHelp v-if="help" class="row-span-2" @close="help = false" />
        <div v-else class="grid min-h-0 grid-cols-[1.4fr_1fr] gap-3">
          <TrellisPanel :measures="null" />
          <section class="panel flex min-h-0 min-w-0 flex-col" aria-labelledby="changes">
            <div class="panel-head"><h2 id="changes">What it changes</h2></div>
            <div class="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto p-3" tabindex="0">
              <p v-if="!users.length" class="text-ink2">
                No journey goes through this strand yet. In a run sheet, type “go through strand
                {{ journey.name }}”.
              </p>
              <p v-else>{{ many }} {{ users.length === 1 ? 'goes' : 'go' }} through it:</p>
              <ul class="flex flex-col gap-1">
                <li v-for="user in users" :key="user.id">
                  <RouterLink
                    class="underline"
                    :to="{ name: 'workbench', params: { id: user.id } }"
                    >{{ user.name }}</RouterLink
                  >
                  <p v-for="finding in user.findings" :key="finding" class="warning mt-1">
                    <b class="text-clay">New</b> {{ finding }}
                  </p>
                </li>
              </ul>
              <DifferenceList v-if="changes.length" :lines="changes" />
              <p v-else class="text-ink2">Nothing is changed yet.</p>
            </div>
          </section>
        </div>
        <StepPanel v-if="!help" class="min-w-0">
          <label class="flex items-center gap-2">
            <span class="w-16 text-ink2">Name</span>
            <DraftInput class="field" :value="journey.name" maxlength="80" @change="rename" />
          </label>
        </StepPanel>
      </div>
    </template>
  </main>
</template>
