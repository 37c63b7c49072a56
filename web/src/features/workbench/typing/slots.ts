import type { Phrase } from '@/api/types'

/** A piece of a sentence that can be chosen, in characters from its start. */
export interface Slot {
  from: number
  to: number
}

/** Where the pieces of a sentence stand that can be chosen; quotation marks stay outside. */
export function slotsOf(phrase: Phrase): Slot[] {
  const slots: Slot[] = []
  let at = 0
  for (const { text, strong } of phrase.spans) {
    if (strong) {
      const quoted = text.startsWith('“') && text.endsWith('”') && text.length > 2
      slots.push({ from: at + (quoted ? 1 : 0), to: at + text.length - (quoted ? 1 : 0) })
    }
    at += text.length
  }
  return slots
}

export function textOf(phrase: Phrase): string {
  return phrase.spans.map((span) => span.text).join('')
}

/** Moves slots along with a change of the text between them. */
export function follow(slots: Slot[], before: string, after: string): Slot[] {
  let start = 0
  while (start < before.length && start < after.length && before[start] === after[start]) start++
  let end = 0
  while (
    end < before.length - start &&
    end < after.length - start &&
    before.at(-1 - end) === after.at(-1 - end)
  ) {
    end++
  }
  const gone = before.length - end
  const by = after.length - before.length
  return slots.flatMap(({ from, to }) => {
    if (to < start) return [{ from, to }]
    if (from > gone || (from === gone && gone > start)) return [{ from: from + by, to: to + by }]
    if (from > start && to <= gone) return []
    return [{ from: Math.min(from, start), to: Math.max(to + by, start) }]
  })
}

/** The slot behind (or before) a place, or null if there is none left. */
export function nextSlot(slots: Slot[], selection: Slot, back: boolean): Slot | null {
  return (
    (back
      ? slots.findLast((slot) => slot.to < selection.from)
      : slots.find((slot) => slot.from > selection.to)) ?? null
  )
}

/** Which slot of a row's typed sentence a click on its spoken one means; null for none. */
export function chosenSlot(
  event: MouseEvent,
  row: { sentence: Phrase; typed: Phrase },
): number | null {
  const piece = (event.target as HTMLElement).closest<HTMLElement>('[data-slot]')
  const clicked = piece && row.sentence.spans[Number(piece.dataset.slot)]
  if (!clicked || row.typed.spans.length === 0) return null
  const same = (text: string) => text.replace(/[“”]/g, '').toLowerCase()
  const strong = row.typed.spans.filter((span) => span.strong)
  const at = strong.findIndex((span) => same(span.text) === same(clicked.text))
  return Math.max(0, at)
}
