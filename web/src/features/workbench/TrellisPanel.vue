<script setup lang="ts">
import { storeToRefs } from 'pinia'
import { computed, ref, useTemplateRef } from 'vue'
import type { RunMeasures } from '@/api/types'
import { folded } from '@/trellis/fold'
import Trellis from '@/trellis/Trellis.vue'
import TrellisTools from '@/trellis/TrellisTools.vue'
import { useJourneyStore } from './journeyStore'
import { useSelection } from './selectionStore'
import { useFolding } from './useFolding'

/** The picture of what is being edited; what is folded in the run sheet is folded here, too. */
defineProps<{ measures: RunMeasures | null }>()

const store = useJourneyStore()
const { view, journey } = storeToRefs(store)
const selection = useSelection()
const { selected } = storeToRefs(selection)
const trellis = useTemplateRef<InstanceType<typeof Trellis>>('trellis')
const zoom = ref(1)
const { folded: closed } = useFolding(
  () => view.value?.id,
  computed(() => view.value?.sheet.rows ?? []),
)
</script>

<template>
  <section
    v-if="journey && view"
    class="panel flex min-h-0 min-w-0 flex-col"
    aria-labelledby="trellis"
  >
    <div class="panel-head">
      <h2 id="trellis">Trellis</h2>
      <slot name="note" />
      <TrellisTools
        v-if="journey.body.length"
        v-model:zoom="zoom"
        :name="journey.name"
        :picture="() => trellis?.drawing ?? null"
        :selected="selected"
        @go-to="(step) => trellis?.goTo(step)"
      />
    </div>
    <div class="min-h-0 flex-1 p-2">
      <Trellis
        v-if="journey.body.length"
        ref="trellis"
        v-model:zoom="zoom"
        :body="folded(store.drawn, closed)"
        :hovered="selection.hovered"
        :measures="measures"
        :sheet="view.sheet"
        :selected="selected"
        @hover="(step) => (selection.hovered = step)"
        @select="selection.select"
      />
      <p v-else class="p-4 text-ink2">The picture grows as you add steps to the run sheet.</p>
    </div>
  </section>
</template>
