/** Text sizes without a browser: an upper bound, so that what is laid out also fits when drawn. */

const NARROW = new Set("iljtfrI.,:;!|’'“”()[] ".split(''))
const WIDE = new Set('mwMWQOG@%'.split(''))

/** At least as wide as the text is drawn, in the same unit as its size. */
export function textWidth(text: string, size: number): number {
  let units = 0
  for (const letter of text) {
    units += NARROW.has(letter)
      ? 0.4
      : WIDE.has(letter)
        ? 0.95
        : /[A-Z0-9]/.test(letter)
          ? 0.7
          : 0.6
  }
  return Math.ceil(units * size)
}

/** Breaks a text into at most so many lines; what does not fit ends with an ellipsis. */
export function wrap(text: string, chars: number, lines: number): string[] {
  const wrapped: string[] = []
  let line = ''
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const longer = line ? `${line} ${word}` : word
    if (line && longer.length > chars) {
      wrapped.push(line)
      line = word
    } else {
      line = longer
    }
  }
  if (line) wrapped.push(line)
  const kept = wrapped.slice(0, lines)
  if (wrapped.length > lines) kept[lines - 1] = `${kept[lines - 1]} …`
  return kept.map((one) => (one.length > chars + 2 ? `${one.slice(0, chars)}…` : one))
}
