import { ref } from 'vue'
import type { Place } from './parts'

/** Dragging a part, with a mark where it will come. */
export function useDragParts(land: (id: string, to: Place) => void) {
  const dragged = ref<string | null>(null)
  const landing = ref<{ part: string; where: 'before' | 'behind' } | null>(null)

  function start(event: DragEvent, id: string): void {
    event.stopPropagation()
    dragged.value = id
    event.dataTransfer?.setData('text/plain', id)
  }

  function over(event: DragEvent, id: string): void {
    if (!dragged.value) return
    event.preventDefault()
    event.stopPropagation()
    const { top, height } = (event.currentTarget as HTMLElement).getBoundingClientRect()
    landing.value =
      id === dragged.value
        ? null
        : { part: id, where: event.clientY < top + height / 2 ? 'before' : 'behind' }
  }

  function drop(event: DragEvent): void {
    if (!dragged.value) return
    event.preventDefault()
    event.stopPropagation()
    const to = landing.value
    if (to) land(dragged.value, to.where === 'before' ? { before: to.part } : { behind: to.part })
    end()
  }

  function end(): void {
    dragged.value = null
    landing.value = null
  }

  return { landing, start, over, drop, end }
}
