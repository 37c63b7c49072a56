<script setup lang="ts">
import { TriangleAlert } from '@lucide/vue'
import { computed } from 'vue'
import type { FindingView, Row, StepMeasures } from '@/api/types'
import { days, percent, points } from '@/ui/figures'
import Sentence from '@/ui/Sentence.vue'
import ShareBar from '@/ui/ShareBar.vue'
import StepGlyph from './StepGlyph.vue'
import { chosenSlot } from './typing/slots'

const props = defineProps<{
  row: Row
  measures: StepMeasures | null
  reach: number | null
  findings: FindingView[]
  /** Why it is so, if the journey's starter says. */
  reason?: string
  selected: boolean
  hovered: boolean
  current: boolean
  /** How many steps it hides if it is folded, else null. */
  folded: number | null
}>()
const emit = defineEmits<{ select: [event: MouseEvent]; edit: [slot: number]; fold: [] }>()

function onClick(event: MouseEvent) {
  const plain = !event.shiftKey && props.selected
  const slot = plain ? chosenSlot(event, props.row) : null
  if (slot === null) emit('select', event)
  else emit('edit', slot)
}

/** When people get here; arms begin when their branch ends. */
const arrival = computed(() =>
  props.row.kind === 'ARM' ? null : (props.measures?.arrival ?? null),
)
const atOnce = computed(() => !!arrival.value && arrival.value.latestHours < 0.1)
/** The rails of the arms around the row: plain in a first arm, dotted in others. */
const rails = computed(() =>
  (props.row.label ?? '')
    .split('.')
    .filter(Boolean)
    .map((letter) => letter.toLowerCase() === 'a'),
)
</script>

<template>
  <div
    role="button"
    :aria-current="current"
    :aria-pressed="selected"
    :tabindex="current ? 0 : -1"
    :data-row="row.id"
    class="grid w-full grid-cols-[78px_1fr_46px_40px] items-stretch border-b border-line2 text-left"
    :class="
      selected
        ? 'slots bg-marigold-soft shadow-[inset_3px_0_0_var(--color-marigold)]'
        : row.kind === 'ARM'
          ? hovered
            ? 'bg-line2/60'
            : 'bg-sunk'
          : hovered
            ? 'bg-sunk'
            : ''
    "
    @click="onClick"
    @dblclick="emit('edit', 0)"
  >
    <span
      class="figure self-center pr-2 text-right text-fine leading-3.75 whitespace-nowrap text-ink2"
    >
      <template v-if="atOnce">at once</template>
      <template v-else-if="arrival">
        {{ days(arrival)
        }}<span v-if="arrival.localTime" class="block">{{ arrival.localTime }}</span>
      </template>
    </span>
    <span class="flex min-w-0 items-stretch gap-2">
      <span
        v-for="(plain, i) in rails"
        :key="i"
        class="ml-1 w-0 shrink-0 border-l-3 border-vine"
        :class="{ 'border-dotted': !plain }"
        aria-hidden="true"
      />
      <span
        v-if="row.ofStrand"
        class="ml-1 w-0 shrink-0 border-l-3 border-double border-slate"
        title="of a strand"
      />
      <span
        class="flex min-h-9 min-w-0 items-center gap-2 py-1"
        :class="{ 'min-h-6.5 text-ink2': row.kind === 'ARM' }"
      >
        <StepGlyph :kind="row.kind" />
        <span class="min-w-0">
          <span
            v-if="row.kind === 'ARM'"
            class="chip mr-1.5 border-vine-soft bg-vine-soft px-1.5 font-semibold text-pine"
            >{{ row.label }}</span
          >
          <Sentence :phrase="row.sentence" />
          <span v-if="folded !== null" class="chip ml-1.5" title="Unfold (Space)"
            >{{ folded === 1 ? '1 step' : `${folded} steps` }} folded</span
          >
          <span v-if="measures?.email" class="figure ml-2 text-tiny whitespace-nowrap text-ink2">
            {{ points(measures.email.opened.value) }}% open
            {{ points(measures.email.clicked.value) }}% click
          </span>
          <span v-if="reason" class="reason">{{ reason }}</span>
        </span>
        <TriangleAlert
          v-if="findings.length"
          class="size-4 shrink-0 text-clay"
          role="img"
          :aria-label="findings.map((f) => f.sentence).join(' ')"
        />
      </span>
    </span>
    <ShareBar :value="reach" class="ml-2 self-center" />
    <span class="figure self-center pr-2 text-right text-note">
      {{ reach === null ? '' : percent(reach) }}
    </span>
  </div>
</template>
