import type { Ref } from 'vue'

const PAGE = 15
/** So long a row may take to be drawn once it is scrolled to. */
const FRAMES = 20
const STEPS: Record<string, number> = {
  ArrowDown: 1,
  ArrowUp: -1,
  PageDown: PAGE,
  PageUp: -PAGE,
  Home: -Infinity,
  End: Infinity,
}

/**
 * Goes through the rows of a table with the arrow keys, from one button that names a row to
 * another; rows that are not drawn yet are scrolled to.
 *
 * @param table what holds the table
 * @param keys the rows, by their keys, in order
 * @param height of a row in pixels
 */
export function useRowKeys(
  table: Readonly<Ref<HTMLElement | null>>,
  keys: () => (number | string)[],
  height: number,
) {
  const button = (key: number | string | undefined) =>
    table.value?.querySelector<HTMLElement>(`[data-line="${key}"] th button`)

  async function onKey(event: KeyboardEvent) {
    const step = STEPS[event.key]
    const line = (event.target as HTMLElement).closest<HTMLElement>('[data-line]')
    if (step === undefined || !line || event.ctrlKey || event.altKey || event.metaKey) return
    if ((event.target as HTMLElement).tagName !== 'BUTTON') return
    event.preventDefault()
    const all = keys()
    const now = all.findIndex((key) => String(key) === line.dataset.line)
    const next = Math.max(0, Math.min(all.length - 1, now + step))
    if (!button(all[next])) {
      const scroller = line.closest<HTMLElement>('[role=group]')
      scroller?.scrollTo({ top: next * height - scroller.clientHeight / 2 })
      for (let frame = 0; frame < FRAMES && !button(all[next]); frame++) {
        await new Promise((drawn) => requestAnimationFrame(drawn))
      }
    }
    button(all[next])?.focus()
  }

  return { onKey }
}
