import { describe, expect, it, vi } from 'vitest'
import { pressed, type SheetActions } from './pressed'

function press(key: string, held: Partial<KeyboardEventInit> = {}) {
  const names = [
    'arrange',
    'go',
    'write',
    'copy',
    'paste',
    'remove',
    'edit',
    'nextFinding',
    'mend',
    'fold',
    'help',
  ] as const
  const actions = Object.fromEntries(names.map((name) => [name, vi.fn()]))
  const did = pressed(
    new KeyboardEvent('keydown', { key, ...held }),
    actions as unknown as SheetActions,
  )
  const calls = names.flatMap((name) => actions[name]!.mock.calls.map((call) => [name, ...call]))
  return did ? calls : null
}

describe('the keys of the run sheet', () => {
  it.each([
    ['ArrowUp', {}, ['go', -1, false]],
    ['ArrowDown', { shiftKey: true }, ['go', 1, true]],
    ['Home', {}, ['go', 'FIRST', false]],
    ['End', {}, ['go', 'LAST', false]],
    ['ArrowUp', { altKey: true }, ['arrange', 'UP']],
    ['ArrowRight', { altKey: true }, ['arrange', 'IN']],
    ['d', { ctrlKey: true }, ['arrange', 'DUPLICATE']],
    ['C', { metaKey: true }, ['copy', false]],
    ['x', { ctrlKey: true }, ['copy', true]],
    ['v', { ctrlKey: true }, ['paste']],
    ['Enter', { ctrlKey: true, shiftKey: true }, ['write', '', true]],
    ['Enter', {}, ['edit']],
    ['F8', { shiftKey: true }, ['nextFinding', true]],
    ['F9', {}, ['mend']],
    ['Delete', {}, ['remove']],
    [' ', {}, ['fold']],
    ['?', { shiftKey: true }, ['help']],
    ['w', {}, ['write', 'w', false]],
  ])('%s with %o does what it says', (key, held, call) => {
    expect(press(key, held)).toEqual([call])
  })

  it.each([
    ['Tab', {}],
    ['F5', {}],
    ['w', { altKey: true }],
    ['s', { ctrlKey: true }],
  ])('leaves %s with %o to the browser', (key, held) => {
    expect(press(key, held)).toBeNull()
  })
})
