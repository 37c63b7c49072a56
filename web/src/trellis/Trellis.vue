<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, useId, useTemplateRef, watch } from 'vue'
import type { RunMeasures, RunSheet, StepDocument } from '@/api/types'
import { brief, count, duration, percent, points } from '@/ui/figures'
import { isSend } from './graph'
import { layOut } from './layout'
import { leafPath, ribbonPath } from './paths'
import type { TrellisWords } from './picture'
import TrellisLabel from './TrellisLabel.vue'
import TrellisMark from './TrellisMark.vue'
import { AMPLE, BARE, CLOSE, FLAT, type Sizes } from './sizes'
import { usePanning } from './usePanning'

const props = defineProps<{
  body: StepDocument[]
  measures: RunMeasures | null
  sheet: RunSheet | null
  selected?: string | null
  /** The steps somebody came through; the others stand back. */
  route?: string[] | null
  /** A step that is pointed at elsewhere. */
  hovered?: string | null
  /** How many people stand at each step, for the view of who is where. */
  standing?: Map<string, number> | null
  /** Of how many, where no measures say it. */
  among?: number
  /** What is to be said of some steps: they are marked with it. */
  remarks?: Map<string, string> | null
  /** How high it may become, in pixels, where it is as high as it needs to be, never cut off. */
  most?: number
}>()
const emit = defineEmits<{ select: [step: string]; hover: [step: string | null] }>()
/** How many times larger than the picture that fits. */
const zoom = defineModel<number>('zoom', { default: 1 })

/** Letters are of 12 units, so that they have 10.8 pixels at least. */
const READABLE = 0.9
/** Where it may not be cut off it may become smaller still; zooming in makes it readable. */
const SMALLEST_WHOLE = 0.5
const LARGEST = 1.2

const frame = useTemplateRef<HTMLElement>('frame')
const drawing = useTemplateRef<SVGSVGElement>('drawing')
const { width, height } = useElementSize(frame)
usePanning(frame, (by) => (zoom.value = Math.min(6, Math.max(1, zoom.value * by))))
defineExpose({ drawing, goTo })
const uid = useId()

const names = computed(() => new Map(props.sheet?.rows.map((row) => [row.id, row.brief])))
const emails = computed(() => new Map(props.measures?.steps.map((s) => [s.id, s.email])))

const words = computed<TrellisWords>(() => ({
  name: nameOf,
  figures: figuresOf,
  goal: props.measures?.goal ? `goal ${percent(props.measures.goal.value, 1)}` : null,
}))
const high = computed(() => props.most ?? height.value)
const least = computed(() => (props.most ? SMALLEST_WHOLE : READABLE))
/**
 * As ample as it can be read whole; what is too long for that goes on to the right, and is as ample
 * as its height allows.
 */
const sizes = computed(
  () =>
    [AMPLE, CLOSE, BARE, FLAT].find((one) => whole(layOutIn(one)) >= READABLE) ??
    [CLOSE, BARE].find((one) => high.value / layOutIn(one).height >= READABLE) ??
    FLAT,
)
/** As narrow as can be: how large it may be shown follows from its height. */
const narrow = computed(() => layOutIn(sizes.value))
const picture = computed(() => {
  const room = width.value / fitting(narrow.value)
  return Number.isFinite(room) && room > narrow.value.width
    ? layOutIn(sizes.value, room)
    : narrow.value
})
const scale = computed(() => fitting(picture.value) * zoom.value)

function layOutIn(sizes: Sizes, room = 0) {
  return layOut(props.body, props.measures, words.value, room, sizes)
}

/** How large it can be shown whole. */
function whole(shapes: { width: number; height: number }): number {
  return Math.min(width.value / shapes.width, high.value / shapes.height)
}

function fitting(shapes: { width: number; height: number }): number {
  const fits = whole(shapes)
  return Number.isFinite(fits) && fits > 0 ? Math.min(LARGEST, Math.max(least.value, fits)) : 1
}

function figuresOf(step: string): string | null {
  const email = emails.value.get(step)
  if (!email) return null
  const clicked = `${points(email.clicked.value)}% click`
  return email.opened.value === null ? clicked : `${points(email.opened.value)}% open ${clicked}`
}

/** The way somebody went: through the marks of their steps, level where a ribbon is. */
const way = computed(() => {
  const on = new Set(props.route ?? [])
  const points = picture.value.marks.filter((mark) => on.has(mark.id)).sort((a, b) => a.x - b.x)
  return points
    .map(({ x, y }, i) => {
      const before = points[i - 1]
      if (!before) return `M${x} ${y}`
      const middle = before.x + (x - before.x) / 2
      return `C${middle} ${before.y} ${middle} ${y} ${x} ${y}`
    })
    .join('')
})

/** A circle for those who stand somewhere, as large as their share of all who entered. */
const crowds = computed(() => {
  const all = props.measures?.entered ?? props.among ?? 0
  if (!props.standing || all === 0) return []
  const waiting = picture.value.waiting.map(({ step, x, y }) => ({ step, x, y }))
  const atMarks = picture.value.marks.map(({ id, x, y }) => ({ step: id, x, y }))
  return [...waiting, ...atMarks].flatMap((place) => {
    const people = props.standing?.get(place.step) ?? 0
    return people > 0 ? [{ ...place, people, radius: 5 + 17 * Math.sqrt(people / all) }] : []
  })
})

const remarked = computed(() =>
  picture.value.marks.flatMap((mark) => {
    const said = props.remarks?.get(mark.id)
    const above = isSend(mark) ? picture.value.leaf : 0
    return said ? [{ id: mark.id, said, x: mark.x + 15, y: mark.top - above }] : []
  }),
)

/** Brings a step to the middle, as large as it reads well. */
async function goTo(step: string): Promise<void> {
  zoom.value = Math.min(6, Math.max(zoom.value, 1 / fitting(picture.value)))
  await nextTick()
  showInTheMiddle(step)
}

/** Where a step is in the picture: its mark, or where people wait at it. */
function markOf(step: string) {
  const { marks, waiting } = picture.value
  return marks.find((one) => one.id === step) ?? waiting.find((one) => one.step === step)
}

function inSight(step: string): boolean {
  const mark = markOf(step)
  if (!mark || !frame.value) return true
  const { scrollLeft, scrollTop, clientWidth, clientHeight } = frame.value
  const [x, y] = [mark.x * scale.value - scrollLeft, mark.y * scale.value - scrollTop]
  return x >= 0 && x <= clientWidth && y >= 0 && y <= clientHeight
}

function showInTheMiddle(step: string): void {
  const mark = markOf(step)
  if (!mark || !frame.value) return
  frame.value.scrollTo({
    left: mark.x * scale.value - width.value / 2,
    top: mark.y * scale.value - frame.value.clientHeight / 2,
  })
}

/* In a picture that is larger than its frame, what is chosen elsewhere is brought into sight. */
watch(
  () => (width.value > 0 ? props.selected : null),
  (step) => {
    if (step && (zoom.value > 1 || !inSight(step))) showInTheMiddle(step)
  },
  { flush: 'post' },
)

function back(step: string | null): boolean {
  return !!props.route && step !== null && !props.route.includes(step)
}

function nameOf(step: string): string {
  return names.value.get(step) ?? ''
}
</script>

<template>
  <div
    ref="frame"
    class="grid w-full overflow-auto"
    :class="most ? 'max-h-full' : 'h-full'"
    style="align-content: safe center"
  >
    <svg
      ref="drawing"
      :width="picture.width * scale"
      :height="picture.height * scale"
      :viewBox="`0 0 ${picture.width} ${picture.height}`"
      role="group"
      aria-label="Trellis of the journey"
      class="block"
    >
      <defs>
        <pattern
          :id="`${uid}-hatch`"
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="6" height="6" fill="var(--color-shade)" />
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--color-hatch)" stroke-width="2" />
        </pattern>
        <clipPath :id="`${uid}-leaf`"><path :d="leafPath(22, 34)" /></clipPath>
      </defs>
      <line
        v-for="post in picture.posts"
        :key="post.x"
        :x1="post.x"
        :x2="post.x"
        :y1="picture.top - 4"
        :y2="picture.height - 4"
        stroke="var(--color-post)"
      />
      <g v-for="gap in picture.breaks" :key="gap.x" data-break>
        <title>Time is drawn shorter here: {{ duration(gap.hours) }}</title>
        <path
          :d="`M${gap.x - 7} ${picture.top - 4} l3 -4 l4 7 l4 -7 l3 4`"
          fill="none"
          stroke="var(--color-ink2)"
          stroke-width="1.2"
        />
      </g>
      <path
        v-for="ribbon in picture.ribbons"
        :key="ribbon.id"
        :d="ribbonPath(ribbon)"
        :fill="ribbon.hatched ? `url(#${uid}-hatch)` : 'var(--color-vine-soft)'"
        :stroke="ribbon.hatched ? 'none' : 'var(--color-vine-soft)'"
        stroke-width="0.6"
      />
      <path
        v-if="route?.length"
        :d="way"
        fill="none"
        stroke="var(--color-marigold)"
        stroke-width="4"
        stroke-linecap="round"
        data-way
      />
      <TrellisLabel
        v-for="(label, i) in picture.labels"
        :key="i"
        :class="{ 'opacity-30': back(label.step) }"
        :label="label"
        :selected="label.step !== null && label.step === selected"
      />
      <TrellisMark
        v-for="mark in picture.marks"
        :key="mark.id"
        :class="{ 'opacity-30': back(mark.id) }"
        :mark="mark"
        :clip="`${uid}-leaf`"
        :leaf="picture.leaf"
        :selected="mark.id === selected"
        :hovered="mark.id === hovered"
        @select="emit('select', mark.id)"
        @pointerenter="emit('hover', mark.id)"
        @pointerleave="emit('hover', null)"
      />
      <g v-for="remark in remarked" :key="remark.id" :data-remark="remark.id">
        <title>{{ remark.said }}</title>
        <path
          :d="`M${remark.x},${remark.y - 7}l7,7l-7,7l-7,-7z`"
          fill="var(--color-clay)"
          stroke="var(--color-panel)"
          stroke-width="1.5"
        />
      </g>
      <g v-for="crowd in crowds" :key="crowd.step" :data-crowd="crowd.step">
        <title>{{ nameOf(crowd.step) }}: {{ count(crowd.people) }} people</title>
        <circle
          class="crowd"
          :cx="crowd.x"
          :cy="crowd.y"
          :r="crowd.radius"
          fill="var(--color-marigold)"
          fill-opacity="0.9"
          stroke="var(--color-pine)"
        />
        <text
          v-if="crowd.radius >= (crowd.people < 10 ? 10 : 14)"
          :x="crowd.x"
          :y="crowd.y + 4"
          text-anchor="middle"
          class="figure"
          font-size="12"
          fill="var(--color-ink)"
        >
          {{ brief(crowd.people) }}
        </text>
      </g>
    </svg>
  </div>
</template>
