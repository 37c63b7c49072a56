/** What the keys of the run sheet do; the help sheet and the menus say the same. */
export interface SheetKey {
  keys: string
  does: string
  group: 'Write' | 'Move' | 'Copy' | 'See'
}

export const SHEET_KEYS: SheetKey[] = [
  { group: 'Write', keys: 'a letter', does: 'Begin a sentence below the chosen row' },
  { group: 'Write', keys: 'Ctrl Enter', does: 'Add below' },
  { group: 'Write', keys: 'Ctrl Shift Enter', does: 'Add above' },
  { group: 'Write', keys: 'Enter or F2', does: 'Change the sentence; Tab goes from slot to slot' },
  { group: 'Write', keys: 'Tab', does: 'While typing: take the first way to go on' },
  { group: 'Write', keys: 'Esc', does: 'While typing: leave without a change' },
  { group: 'Write', keys: 'Delete', does: 'Remove; asks if more than this would go' },
  { group: 'Move', keys: '↑ ↓', does: 'Go to the row above or below' },
  { group: 'Move', keys: 'Home, End', does: 'Go to the first or last row' },
  { group: 'Move', keys: 'Shift ↑ ↓', does: 'Choose several rows' },
  { group: 'Move', keys: 'Alt ↑ ↓', does: 'Move steps, or an arm, up or down' },
  { group: 'Move', keys: 'Alt →', does: 'Into the branch right above' },
  { group: 'Move', keys: 'Alt ←', does: 'Out of the branch' },
  { group: 'Copy', keys: 'Ctrl C, X, V', does: 'Copy, cut, paste below; between journeys too' },
  { group: 'Copy', keys: 'Ctrl D', does: 'Duplicate' },
  { group: 'Copy', keys: 'Ctrl Z', does: 'Undo' },
  { group: 'Copy', keys: 'Ctrl Shift Z', does: 'Redo' },
  { group: 'See', keys: 'Space', does: 'Fold or unfold a branch' },
  { group: 'See', keys: 'F8', does: 'Go to the next finding; Shift F8 to the one before' },
  { group: 'See', keys: 'F9', does: 'Mend the finding here, if one key can' },
  { group: 'See', keys: '?', does: 'Show or hide these keys' },
]
