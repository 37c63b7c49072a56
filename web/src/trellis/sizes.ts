/** Sizes that the trellis is laid out by, in the picture's own units. */

export const FULL = 44
export const CURVE = 36
export const HEADER = 40
export const LINE = 14
export const LABEL_CHARS = 17
export const LEAF_BAND = 46
export const CHIP_BAND = 22
export const POST_WIDTH = 58
