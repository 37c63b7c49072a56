<script setup lang="ts">
import { onBeforeUnmount, ref, useTemplateRef, watch } from 'vue'

/**
 * Mail in a frame of its own, in which no script runs. Its parts have the class part-n: the chosen
 * one is marked, and a click chooses.
 */
const props = defineProps<{
  html: string
  width: number
  title: string
  chosen?: number
  passages?: number[]
}>()
const emit = defineEmits<{ choose: [part: number] }>()

const frame = useTemplateRef<HTMLIFrameElement>('frame')
const height = ref(400)
let observer: ResizeObserver | null = null
/** Until the sheet is there, the frame is under the policy of this page. */
let loaded = false

function write() {
  const sheet = frame.value?.contentDocument
  if (!loaded || !sheet?.body) return
  /* Read under the frame's own policy, not under that of this page. */
  sheet.documentElement.innerHTML = props.html
  sheet.body.style.margin = '0'
  sheet.documentElement.style.overflow = 'hidden'
  mark()
  measure()
  observer?.disconnect()
  observer = new ResizeObserver(measure)
  observer.observe(sheet.body)
}

function measure() {
  const body = frame.value?.contentDocument?.body
  /* With the frame's own border. */
  if (body) height.value = Math.ceil(body.getBoundingClientRect().height) + 2
}

/** Marks the chosen part and the passages. */
function mark() {
  const sheet = frame.value?.contentDocument
  if (!loaded || !sheet) return
  let style = sheet.getElementById('marks')
  if (!style) {
    style = sheet.createElement('style')
    style.id = 'marks'
    sheet.head.append(style)
  }
  const token = (name: string) =>
    getComputedStyle(document.documentElement).getPropertyValue(name).trim()
  const passages = (props.passages ?? []).map(
    (n) => `.part-${n} { box-shadow: inset 3px 0 0 ${token('--color-plum')}; }`,
  )
  const chosen =
    props.chosen === undefined
      ? ''
      : `.part-${props.chosen} { outline: 2px solid ${token('--color-marigold')}; outline-offset: -2px; }`
  style.textContent = [...passages, chosen, '[class*="part-"] { cursor: pointer; }'].join('\n')
  reveal()
}

function reveal() {
  if (props.chosen === undefined || !frame.value) return
  const part = frame.value.contentDocument?.querySelector(`.part-${props.chosen}`)
  const scroller = frame.value.closest('[data-scroller]')
  if (!part || !scroller) return
  const { top, bottom } = part.getBoundingClientRect()
  const offset = frame.value.getBoundingClientRect().top - scroller.getBoundingClientRect().top
  if (offset + top < 0) scroller.scrollBy({ top: offset + top - 20 })
  else if (offset + bottom > scroller.clientHeight) {
    scroller.scrollBy({ top: offset + bottom - scroller.clientHeight + 20 })
  }
}

/** Nothing is followed from here; whoever clicks chooses. */
function onLoad() {
  loaded = true
  frame.value?.contentDocument?.addEventListener('click', (event) => {
    event.preventDefault()
    const part = (event.target as Element).closest?.('[class*="part-"]')
    const number = part && /part-(\d+)/.exec(part.getAttribute('class') ?? '')?.[1]
    if (number) emit('choose', Number(number))
  })
  write()
}

watch(() => props.html, write)
watch(() => [props.chosen, props.passages], mark)
onBeforeUnmount(() => observer?.disconnect())
</script>

<template>
  <iframe
    ref="frame"
    src="/proof-sheet"
    sandbox="allow-same-origin"
    class="block border border-line bg-white"
    :style="{ width: `${width}px`, height: `${height}px`, maxWidth: '100%' }"
    :title="title"
    @load="onLoad"
  />
</template>
