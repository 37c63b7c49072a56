import { describe, expect, it } from 'vitest'
import type { StepMeasures } from '@/api/types'
import { COLUMNS, type StepLine, valueOf } from './stepColumns'

const share = (value: number | null) => ({ count: 0, of: 0, value, low: null, high: null })
const line = (id: string, opened: number | null) =>
  ({
    row: { id },
    step: { id, reach: share(1), email: opened === null ? null : { opened: share(opened) } },
  }) as unknown as StepLine
const OPENED = COLUMNS.find((one) => one.key === 'opened')!

describe('the columns of the step table', () => {
  it('have a name each, and say what they are of', () => {
    expect(new Set(COLUMNS.map((one) => one.key)).size).toBe(COLUMNS.length)
    for (const one of COLUMNS) expect(one.title).not.toBe('')
  })

  it('tell nothing from nought', () => {
    expect(valueOf(OPENED, line('wait', null).step)).toBeNull()
    const none = { opened: { ...share(0), of: 9 }, delivered: { ...share(1), count: 9 } }
    expect(valueOf(OPENED, { email: none } as unknown as StepMeasures)).toBe(0)
  })

  it('have no figure for what nobody records, such as opens of texts', () => {
    const text = { opened: share(null), delivered: { ...share(1), count: 9 } }
    expect(OPENED.share!({ email: text } as unknown as StepMeasures)).toBeUndefined()
    const unsent = { opened: share(null), delivered: share(null) }
    expect(OPENED.share!({ email: unsent } as unknown as StepMeasures)?.value).toBeNull()
  })
})
