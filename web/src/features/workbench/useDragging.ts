import { ref } from 'vue'

/** Where dragged rows would land: the row they come below, and the edge to mark. */
export interface Landing {
  below: string
  row: string
  edge: 'top' | 'bottom'
}

/** Dragging rows to another place; {@code below} says what a row's upper edge stands below. */
export function useDragging(
  chosen: () => string[],
  above: (row: string) => string | null,
  into: (row: string) => string | null,
  drop: (rows: string[], below: string) => void,
) {
  const dragged = ref<string[]>([])
  const landing = ref<Landing | null>(null)

  function start(event: DragEvent, row: string): void {
    dragged.value = chosen().includes(row) ? chosen() : [row]
    event.dataTransfer?.setData('text/plain', dragged.value.join(' '))
    if (event.dataTransfer) event.dataTransfer.effectAllowed = 'move'
  }

  function over(event: DragEvent, row: string): void {
    if (dragged.value.length === 0) return
    const box = (event.currentTarget as HTMLElement).getBoundingClientRect()
    const upper = event.clientY < box.top + box.height / 2
    const below = upper ? above(row) : into(row)
    landing.value = below === null ? null : { below, row, edge: upper ? 'top' : 'bottom' }
    if (landing.value) event.preventDefault()
  }

  function end(): void {
    dragged.value = []
    landing.value = null
  }

  function dropped(event: DragEvent): void {
    event.preventDefault()
    const rows = dragged.value
    const place = landing.value
    end()
    if (place) drop(rows, place.below)
  }

  return { dragged, landing, start, over, end, dropped }
}
