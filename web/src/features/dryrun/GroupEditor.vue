<script setup lang="ts">
import DraftInput from '@/ui/DraftInput.vue'
import { computed } from 'vue'
import type { GroupDocument } from '@/api/types'
import { TERMS } from '@/ui/terms'
import Slider from '@/ui/Slider.vue'
import AssumedField from './AssumedField.vue'
import OpensPicture from './OpensPicture.vue'

const props = defineProps<{ group: GroupDocument; removable: boolean }>()
const emit = defineEmits<{ change: [group: GroupDocument]; remove: [] }>()

const CHANCES = [
  {
    field: 'preloads',
    name: 'Opened by programs',
    means: TERMS.preloads,
  },
  { field: 'hardBounce', name: 'Dead addresses', means: 'all of their mail comes back' },
  {
    field: 'softBounce',
    name: 'Soft bounces',
    means: 'the chance that one message to a living address comes back',
  },
  { field: 'textConsent', name: 'Agreed to texts', means: 'the others get no texts' },
  {
    field: 'buysAnyway',
    name: 'Buy anyway, 30 days',
    means: 'buy within 30 days without any email',
  },
  {
    field: 'returnsToCart',
    name: 'Return to a cart left',
    means: 'of carts left, bought by themselves; each cart has this chance',
  },
  {
    field: 'comesAgain',
    name: 'Come again, 30 days',
    means: 'trigger the journey once more within 30 days; dates come when they come',
  },
] as const

const tenths = computed(() => Math.round(props.group.keenness.mean * 10))

function set(part: Partial<GroupDocument>) {
  emit('change', { ...props.group, ...part })
}

function names(event: Event): string[] {
  return (event.target as HTMLInputElement).value
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean)
}
</script>

<template>
  <details class="border-b border-line2" data-group>
    <summary class="px-3 py-2 hover:bg-sunk">
      <span class="inline-flex w-[calc(100%-18px)] items-center justify-between">
        <b class="font-semibold">{{ group.name }}</b>
        <span class="figure">{{ Number((group.share * 100).toFixed(1)) }}%</span>
      </span>
      <span class="mt-1 flex items-center justify-between text-fine text-ink2">
        opens of ten
        <span class="flex gap-0.75" role="img" :aria-label="`${tenths} of ten`">
          <span
            v-for="n in 10"
            :key="n"
            class="h-2 w-2.5 rounded-[50%] border border-vine"
            :class="{ 'bg-vine': n <= tenths }"
          />
        </span>
      </span>
    </summary>
    <div class="grid grid-cols-[1fr_auto] items-center gap-x-2 gap-y-1.5 bg-sunk px-3 py-2">
      <label class="contents">
        <span>Name</span>
        <DraftInput
          class="field min-h-6.5! w-36!"
          :value="group.name"
          @change="set({ name: ($event.target as HTMLInputElement).value || group.name })"
        />
      </label>
      <div class="col-span-2 grid gap-1.5">
        <Slider
          label="Share"
          :value="group.share * 100"
          :min="0"
          :max="100"
          :step="1"
          unit="%"
          @change="set({ share: $event / 100 })"
        />
        <Slider
          label="Usual mail opened"
          :title="TERMS.keenness"
          :value="group.keenness.mean * 100"
          :min="0.1"
          :max="99.9"
          :step="1"
          unit="%"
          @change="set({ keenness: { ...group.keenness, mean: $event / 100 } })"
        />
        <Slider
          label="How unlike they are"
          :title="TERMS.spread"
          :value="group.keenness.spread"
          :min="0.001"
          :max="0.999"
          :step="0.01"
          @change="set({ keenness: { ...group.keenness, spread: $event } })"
        />
        <OpensPicture :keenness="group.keenness.mean" :spread="group.keenness.spread" />
      </div>
      <label class="contents">
        <span>Time zone</span>
        <DraftInput
          class="field min-h-6.5! w-36!"
          :value="group.zone"
          @change="set({ zone: ($event.target as HTMLInputElement).value })"
        />
      </label>
      <template v-for="chance in CHANCES" :key="chance.field">
        <span :title="chance.means">{{ chance.name }}</span>
        <AssumedField
          share
          :label="chance.name"
          :assumed="group[chance.field]"
          @change="set({ [chance.field]: $event })"
        />
      </template>
      <label class="contents">
        <span>Have tags</span>
        <DraftInput
          class="field min-h-6.5! w-36!"
          :value="group.tags.join(', ')"
          @change="set({ tags: names($event) })"
        />
      </label>
      <label class="contents">
        <span>Are on lists</span>
        <DraftInput
          class="field min-h-6.5! w-36!"
          :value="group.lists.join(', ')"
          @change="set({ lists: names($event) })"
        />
      </label>
      <button
        v-if="removable"
        type="button"
        class="button button-small col-span-2 justify-self-start"
        @click="emit('remove')"
      >
        Remove group
      </button>
    </div>
  </details>
</template>
