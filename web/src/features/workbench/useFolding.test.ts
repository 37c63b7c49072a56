import { ref } from 'vue'
import { beforeEach, describe, expect, it } from 'vitest'
import type { Row } from '@/api/types'
import { useFolding } from './useFolding'

/** "b: BRANCH 0" is a row, its kind and how deep it stands. */
const rows = (...some: string[]) =>
  some.map((one) => {
    const [id, kind, depth] = one.split(/:? /)
    return { id, kind, depth: Number(depth) } as Row
  })
const SHEET = rows(
  'a: SEND 0',
  'b: BRANCH 0',
  'b1: ARM 1',
  'c: SEND 2',
  'd: SPLIT 2',
  'd1: ARM 3',
  'e: SEND 4',
  'b2: ARM 1',
  'f: WAIT 2',
  'g: SEND 0',
)
let journeys = 0

function folding() {
  const journey = ++journeys
  return useFolding(() => journey, ref(SHEET))
}
const seen = ({ shown }: ReturnType<typeof folding>) =>
  shown.value.rows.map((row) => row.id).join(' ')

beforeEach(() => localStorage.clear())

describe('a folded branch', () => {
  it('hides its arms, and says how many steps that is', () => {
    const sheet = folding()
    sheet.toggle('b')
    expect(seen(sheet)).toBe('a b g')
    expect(sheet.shown.value.hidden.get('b')).toBe(4)
    sheet.toggle('b')
    expect(seen(sheet)).toBe('a b b1 c d d1 e b2 f g')
  })

  it('inside of another stays folded when that one is opened', () => {
    const sheet = folding()
    sheet.foldAll(true)
    expect(seen(sheet)).toBe('a b g')
    sheet.toggle('b')
    expect(seen(sheet)).toBe('a b b1 c d b2 f g')
    expect(sheet.shown.value.hidden.get('d')).toBe(1)
  })

  it('opens, and those around it, for a row that is to be seen', () => {
    const sheet = folding()
    sheet.foldAll(true)
    sheet.reveal('e')
    expect(seen(sheet)).toBe('a b b1 c d d1 e b2 f g')
  })

  it('stays as it is for a row that is there, or nowhere', () => {
    const sheet = folding()
    sheet.toggle('b')
    sheet.reveal('g')
    sheet.reveal('nowhere')
    expect(seen(sheet)).toBe('a b g')
  })

  it('is one of its journey alone', () => {
    folding().toggle('b')
    expect(seen(folding())).toBe('a b b1 c d d1 e b2 f g')
  })

  it('may be gone from the journey, and folds nothing then', () => {
    const journey = ++journeys
    const sheet = ref(SHEET)
    const now = useFolding(() => journey, sheet)
    now.toggle('d')
    sheet.value = rows('a: SEND 0', 'g: SEND 0')
    expect(now.shown.value.rows).toHaveLength(2)
  })
})
