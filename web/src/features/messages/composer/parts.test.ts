import { expect, test } from 'vitest'
import type { PartDocument } from '@/api/types'
import { allParts, freshIds, inserted, moved, nudged, renewed, replaced, without } from './parts'

const rule = (id: string): PartDocument => ({ kind: 'rule', id })
const columns = (id: string, ...lists: PartDocument[][]): PartDocument => ({
  kind: 'columns',
  id,
  columns: lists.map((parts) => ({ parts })),
})
const passage = (id: string, parts: PartDocument[], otherwise: PartDocument[]): PartDocument => ({
  kind: 'passage',
  id,
  who: { kind: 'all', parts: [] },
  parts,
  otherwise,
})
const message = [
  rule('a'),
  columns('b', [rule('c')], [rule('d'), rule('e')]),
  passage('f', [rule('g')], [rule('h')]),
]
const ids = (parts: PartDocument[]) =>
  allParts(parts)
    .map((part) => part.id)
    .join('')

test('parts are found, removed and replaced wherever they stand', () => {
  expect(ids(message)).toBe('abcdefgh')
  expect(ids(without(message, ['d', 'f']))).toBe('abce')
  const space: PartDocument = { kind: 'space', id: 'g', height: 8 }
  expect(allParts(replaced(message, space)).find((one) => one.id === 'g')).toEqual(space)
})

test('something comes behind, before, inside and at the beginning', () => {
  const more = [rule('x')]
  expect(ids(inserted(message, more, { behind: 'd' }))).toBe('abcdxefgh')
  expect(ids(inserted(message, more, { before: 'd' }))).toBe('abcxdefgh')
  expect(ids(inserted(message, more, { behind: null }))).toBe('xabcdefgh')
  expect(ids(inserted(message, more, { inside: 'b', list: 0 }))).toBe('abcxdefgh')
  expect(ids(inserted(message, more, { inside: 'f', list: 1 }))).toBe('abcdefghx')
})

test('a part never comes inside of itself, and none is lost', () => {
  expect(moved(message, 'b', { inside: 'b', list: 0 })).toBe(message)
  expect(moved(message, 'b', { behind: 'c' })).toBe(message)
  expect(ids(moved(message, 'a', { behind: 'h' }))).toBe('bcdefgha')
})

test('a part that is nudged leaves what it is inside of at its end', () => {
  expect(ids(nudged(message, 'd', 1))).toBe('abcedfgh')
  expect(ids(nudged(message, 'e', 1))).toBe('abcdefgh')
  expect(nudged(message, 'e', 1)[2]).toEqual(rule('e'))
  expect(ids(nudged(message, 'c', -1))).toBe('acbdefgh')
  expect(ids(nudged(message, 'a', -1))).toBe('abcdefgh')
})

test('what stands in a message once more has ids of its own', () => {
  const fresh = freshIds(message)
  const copy = renewed([message[1]!, message[2]!], fresh)
  const taken = new Set(allParts(message).map((part) => part.id))
  const made = allParts(copy).map((part) => part.id)
  expect(made.some((id) => taken.has(id))).toBe(false)
  expect(new Set(made).size).toBe(made.length)
})
