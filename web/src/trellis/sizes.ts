/** Sizes that the trellis is laid out by, in the picture's own units. */

export const HEADER = 40
export const LINE = 14
export const LETTER = 12
export const CHIP_BAND = 22
export const POST_WIDTH = 58

/**
 * How much room shapes and words take. Letters are of one size in all of them: where there is less
 * room the shapes become smaller and names are broken into shorter lines, so that they can be read.
 */
export interface Sizes {
  /** How thick the ribbon of everybody is. */
  full: number
  /** How far apart two moments stand at least, and how much further for a day. */
  gap: number
  day: number
  /** How long a ribbon takes to change its height. */
  curve: number
  /** The height of a leaf, and of the band it stands in. */
  leaf: number
  leafBand: number
  /** How many lines a name has at most, and letters in a line of it. */
  lines: number
  chars: number
  /** How many letters a line of figures has; no figures for 0. */
  figureChars: number
}

export const AMPLE: Sizes = {
  full: 44,
  gap: 24,
  day: 9,
  curve: 36,
  leaf: 34,
  leafBand: 46,
  lines: 2,
  chars: 17,
  figureChars: 40,
}
export const CLOSE: Sizes = {
  full: 22,
  gap: 18,
  day: 5,
  curve: 24,
  leaf: 22,
  leafBand: 34,
  lines: 2,
  chars: 12,
  figureChars: 9,
}
/** Without figures, which the table or run sheet beside the picture says, too. */
export const BARE: Sizes = {
  ...CLOSE,
  full: 18,
  gap: 14,
  curve: 18,
  leaf: 18,
  leafBand: 28,
  lines: 3,
  figureChars: 0,
}
export const FLAT: Sizes = { ...BARE, lines: 2 }
