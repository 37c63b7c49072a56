import { useEventListener } from '@vueuse/core'
import type { Ref } from 'vue'

/** Moves what is scrolled by dragging its ground, and zooms with Ctrl and the wheel. */
export function usePanning(frame: Ref<HTMLElement | null>, zoom: (by: number) => void): void {
  let from: { x: number; y: number } | null = null

  useEventListener(frame, 'pointerdown', (event: PointerEvent) => {
    const onMark = (event.target as Element).closest('[role=button]')
    if (event.button === 0 && !onMark) from = { x: event.clientX, y: event.clientY }
  })
  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    if (!from || !frame.value) return
    frame.value.scrollBy(from.x - event.clientX, from.y - event.clientY)
    from = { x: event.clientX, y: event.clientY }
  })
  useEventListener(window, 'pointerup', () => (from = null))
  useEventListener(
    frame,
    'wheel',
    (event: WheelEvent) => {
      if (!event.ctrlKey) return
      event.preventDefault()
      zoom(event.deltaY < 0 ? 1.1 : 1 / 1.1)
    },
    { passive: false },
  )
}
