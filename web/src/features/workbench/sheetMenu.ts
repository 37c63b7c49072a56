import type { MenuChoice } from '@/ui/DropMenu.vue'

/** The run sheet's menu, with the keys that do the same. */
export function sheetMenu(can: {
  edit: boolean
  arrange: boolean
  paste: boolean
  /** Whether the reasons of a starter are shown; null if there are none. */
  reasons: boolean | null
  /** Whether it is a journey: its messages can be sent as a test, and better ways be looked for. */
  test: boolean
}): MenuChoice[][] {
  const disabled = !can.arrange
  return [
    [
      { id: 'edit', name: 'Change the sentence', keys: 'Enter', disabled: !can.edit },
      { id: 'above', name: 'Add above', keys: 'Ctrl Shift Enter', disabled },
    ],
    [
      { id: 'in', name: 'Into the branch above', keys: 'Alt →', disabled },
      { id: 'out', name: 'Out of the branch', keys: 'Alt ←', disabled },
      { id: 'duplicate', name: 'Duplicate', keys: 'Ctrl D', disabled },
      { id: 'gather', name: 'Make a strand of these rows', disabled },
    ],
    [
      { id: 'copy', name: 'Copy', keys: 'Ctrl C', disabled },
      { id: 'cut', name: 'Cut', keys: 'Ctrl X', disabled },
      { id: 'paste', name: 'Paste below', keys: 'Ctrl V', disabled: !can.paste },
    ],
    [
      { id: 'fold', name: 'Fold all branches' },
      { id: 'unfold', name: 'Unfold all branches' },
      ...(can.reasons === null
        ? []
        : [{ id: 'reasons', name: can.reasons ? 'Hide the reasons' : 'Show the reasons' }]),
      { id: 'help', name: 'Show all keys', keys: '?' },
    ],
    ...(can.test
      ? [
          [
            { id: 'test', name: 'Send me its messages as a test' },
            { id: 'better', name: 'What would be better here?' },
          ],
        ]
      : []),
  ]
}
