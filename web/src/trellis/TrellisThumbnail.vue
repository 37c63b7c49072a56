<script setup lang="ts">
import { isFork, isSend } from './graph'
import { useElementVisibility } from '@vueuse/core'
import { computed, useId, useTemplateRef } from 'vue'
import type { Sketch, StepDocument } from '@/api/types'
import { layOut } from './layout'
import { leafPath, ribbonPath } from './paths'

/** The trellis in small: ribbons and leaves, no words. It is drawn once it comes into view. */
const props = defineProps<{ body: StepDocument[]; measures: Sketch | null }>()

const uid = useId()
const inView = useElementVisibility(useTemplateRef('place'), { once: true })
const picture = computed(() =>
  layOut(props.body, props.measures, { name: () => '', figures: () => null, goal: null }),
)
const leaves = computed(() => picture.value.marks.filter(isSend))
const uprights = computed(() => picture.value.marks.filter(isFork))
</script>

<template>
  <div ref="place">
    <svg
      v-if="inView"
      class="size-full"
      :viewBox="`0 ${picture.top - 8} ${picture.width} ${picture.height - picture.top + 8}`"
      preserveAspectRatio="xMinYMid meet"
      aria-hidden="true"
    >
      <clipPath :id="uid"><path :d="leafPath(22, 34)" /></clipPath>
      <path
        v-for="ribbon in picture.ribbons"
        :key="ribbon.id"
        :d="ribbonPath(ribbon)"
        :fill="ribbon.hatched ? 'var(--color-shade)' : 'var(--color-shoot)'"
        :stroke="ribbon.hatched ? 'var(--color-shade)' : 'var(--color-shoot)'"
      />
      <rect
        v-for="mark in uprights"
        :key="mark.id"
        :x="mark.x - 4"
        :y="mark.top - 4"
        width="8"
        :height="mark.bottom - mark.top + 8"
        rx="4"
        fill="var(--color-pine)"
      />
      <g v-for="mark in leaves" :key="mark.id" :transform="`translate(${mark.x} ${mark.top + 4})`">
        <path
          :d="leafPath(22, 34)"
          fill="var(--color-panel)"
          stroke="var(--color-pine)"
          stroke-width="2"
        />
        <rect
          v-if="mark.opened"
          x="-14"
          width="28"
          :y="-34 * mark.opened"
          :height="34 * mark.opened"
          fill="var(--color-vine)"
          :clip-path="`url(#${uid})`"
        />
      </g>
    </svg>
  </div>
</template>
