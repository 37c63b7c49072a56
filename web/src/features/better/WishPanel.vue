<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import type { Leeway, LeewayView, RunSheet, SearchWish, SizeView } from '@/api/types'
import { count, lasting } from '@/ui/figures'
import LeewayFields from './LeewayFields.vue'
import WantedFields from './WantedFields.vue'
import { chosenOf, grouped, KINDS, sameThing, withLeeway } from './wish'

/** What may vary, step by step as in the run sheet, and what is wanted of it. */
const props = defineProps<{
  leeways: LeewayView[]
  sheet: RunSheet
  size: SizeView | null
  /** Why there is no telling how much there is to try. */
  wrong: string | null
  selected: string | null
  busy: boolean
}>()
const emit = defineEmits<{ search: []; select: [step: string] }>()
const wish = defineModel<SearchWish>({ required: true })

const groups = computed(() => grouped(props.leeways, props.sheet))
const list = useTemplateRef('list')

/* Whoever chooses a step, in the table or the picture, sees what may vary about it. */
watch(
  () => props.selected,
  async (step) => {
    if (!step) return
    await nextTick()
    list.value
      ?.querySelector(`[data-of='${CSS.escape(step)}']`)
      ?.scrollIntoView({ block: 'nearest' })
  },
  { immediate: true },
)

function toggle(thing: Leeway) {
  wish.value = withLeeway(wish.value, thing, chosenOf(wish.value, thing) ? null : thing)
}

/** As it is asked for now, with what would be tried of it. */
function asked(thing: Leeway): LeewayView | null {
  return props.size?.vary.find((one) => sameThing(one.leeway, thing)) ?? null
}

const amount = computed(() => {
  if (!props.size) return ''
  const { size, seconds } = props.size
  const tried = size.all
    ? `${count(size.combinations)} combinations`
    : `some ${count(size.tries)} of ${count(size.combinations)} combinations`
  return seconds === null ? tried : `${tried}, about ${lasting(seconds)}`
})
</script>

<template>
  <form
    class="flex min-h-0 flex-col border-r border-line2"
    aria-label="What is looked for"
    @submit.prevent="emit('search')"
  >
    <div ref="list" class="min-h-0 flex-1 overflow-y-auto px-3 py-2">
      <WantedFields v-model="wish" class="mb-2 border-b border-line2 pb-2" />
      <h3 class="label">What may vary</h3>
      <fieldset
        v-for="group in groups"
        :key="group.step ?? ''"
        :data-of="group.step ?? undefined"
        class="mb-1 rounded-md border-l-2 py-0.5 pl-2"
        :class="
          group.step !== null && group.step === selected
            ? 'border-marigold bg-marigold-soft'
            : 'border-line2'
        "
      >
        <legend class="sr-only">{{ group.name }}</legend>
        <button
          v-if="group.step !== null"
          type="button"
          class="block w-full truncate text-left font-semibold"
          :title="group.name"
          @click="emit('select', group.step)"
        >
          {{ group.name }}
        </button>
        <span v-else class="font-semibold">{{ group.name }}</span>
        <div v-for="one in group.leeways" :key="one.id">
          <label class="flex items-center gap-2">
            <input
              type="checkbox"
              class="accent-vine"
              :checked="chosenOf(wish, one.leeway) !== null"
              :aria-label="one.sentence"
              @change="toggle(one.leeway)"
            />
            {{ KINDS[one.leeway.kind] }}
          </label>
          <div v-if="chosenOf(wish, one.leeway)" class="pl-6">
            <p class="note">{{ (asked(one.leeway) ?? one).levels.join(' · ') }}</p>
            <LeewayFields
              :leeway="chosenOf(wish, one.leeway)!"
              :name="one.subject"
              @change="wish = withLeeway(wish, one.leeway, $event)"
            />
          </div>
        </div>
      </fieldset>
    </div>
    <div class="border-t border-line2 px-3 py-1.5">
      <p v-if="wrong" class="mb-1 text-note text-clay" role="alert">{{ wrong }}</p>
      <p v-else class="note mb-1" aria-live="polite">{{ amount || '…' }}</p>
      <button
        type="submit"
        class="button button-main w-full justify-center"
        :disabled="busy || !!wrong || wish.vary.length === 0"
      >
        Look for better ways
      </button>
    </div>
  </form>
</template>
