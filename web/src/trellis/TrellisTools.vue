<script setup lang="ts">
import { Crosshair } from '@lucide/vue'
import { ref } from 'vue'
import { reasonOf } from '@/api/client'
import { download } from '@/ui/download'
import { pngOf, svgOf } from './exportPicture'

/** Zoom, and the picture as a file. */
const zoom = defineModel<number>('zoom', { required: true })
const props = defineProps<{
  name: string
  picture: () => SVGSVGElement | null
  /** The chosen step, if it is to be gone to. */
  selected?: string | null
}>()
const emit = defineEmits<{ goTo: [step: string] }>()
const failure = ref<string | null>(null)

const STEP = 1.25
const LARGEST = 6

function scale(by: number) {
  zoom.value = Math.min(LARGEST, Math.max(1, zoom.value * by))
}

async function save(kind: 'svg' | 'png') {
  const picture = props.picture()
  if (!picture) return
  failure.value = null
  try {
    const content =
      kind === 'svg'
        ? new Blob([await svgOf(picture)], { type: 'image/svg+xml' })
        : await pngOf(picture)
    download(content, `${props.name}.${kind}`)
  } catch (problem) {
    failure.value = reasonOf(problem)
  }
}
</script>

<template>
  <span class="ml-auto flex items-center gap-1" role="group" aria-label="Picture">
    <span v-if="failure" class="text-clay" role="alert">{{ failure }}</span>
    <button
      type="button"
      class="button button-small"
      aria-label="Zoom out"
      title="Zoom out (Ctrl and wheel)"
      :disabled="zoom <= 1"
      @click="scale(1 / STEP)"
    >
      −
    </button>
    <button type="button" class="button button-small" :disabled="zoom === 1" @click="zoom = 1">
      Fit
    </button>
    <button
      type="button"
      class="button button-small"
      aria-label="Zoom in"
      title="Zoom in (Ctrl and wheel); drag to move"
      :disabled="zoom >= LARGEST"
      @click="scale(STEP)"
    >
      +
    </button>
    <button
      type="button"
      class="button button-small"
      title="Show the chosen step in the middle, large enough to read"
      aria-label="Zoom to the chosen step"
      :disabled="!selected"
      @click="emit('goTo', selected!)"
    >
      <Crosshair class="size-3.5" />
    </button>
    <button type="button" class="button button-small" title="Save the picture" @click="save('svg')">
      SVG
    </button>
    <button type="button" class="button button-small" title="Save the picture" @click="save('png')">
      PNG
    </button>
  </span>
</template>
