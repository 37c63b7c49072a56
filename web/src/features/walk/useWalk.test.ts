import { flushPromises } from '@vue/test-utils'
import { ref } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { json } from '@/api/testClient'
import type { WalkChoice, Walker } from '@/api/types'
import { within } from '@/testing'
import { before, newWalker, useWalk } from './useWalk'

/** A walk of as many lines as the server finds, and what it asks for at their end. */
let found: { lines: number; ask: string | null } | null
const asked: unknown[] = []
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    asked.push(await request.json())
    if (!found) return json({ title: 'No', detail: 'This journey has no steps.', code: 'x' }, 400)
    const lines = Array.from({ length: found.lines }, (_, n) => ({ text: `line ${n}` }))
    return json({ lines, ask: found.ask && { step: found.ask } })
  })
})

beforeEach(() => {
  found = { lines: 3, ask: 'e0' }
  asked.length = 0
})

function walking() {
  const walker = ref<Walker>(newWalker(new Date(2027, 2, 3)))
  return {
    walker,
    ...within(() =>
      useWalk(
        () => 1,
        () => 1,
        () => walker.value,
      ),
    ),
  }
}

describe('a walk', () => {
  it('is shown line by line, and asks only once all before the choice is seen', async () => {
    const walk = walking()
    await flushPromises()
    expect(walk.lines.value).toHaveLength(1)
    expect(walk.ask.value).toBeNull()
    walk.step()
    walk.step()
    expect(walk.lines.value).toHaveLength(3)
    expect(walk.ask.value).toEqual({ step: 'e0' })
    walk.step()
    expect(walk.lines.value).toHaveLength(3)
  })

  it('stays where it is when a choice makes it longer, and goes no further than its end', async () => {
    const walk = walking()
    await flushPromises()
    walk.skip()
    found = { lines: 5, ask: null }
    walk.walker.value = { ...walk.walker.value, number: 1 }
    await flushPromises()
    expect(walk.lines.value).toHaveLength(3)
    expect(walk.ask.value).toBeNull()
    found = { lines: 2, ask: null }
    walk.walker.value = { ...walk.walker.value, number: 2 }
    await flushPromises()
    expect(walk.lines.value).toHaveLength(2)
  })

  it('says why there is none', async () => {
    found = null
    const walk = walking()
    await flushPromises()
    expect(walk.failure.value).toBe('This journey has no steps.')
    expect(walk.lines.value).toEqual([])
  })
})

describe('somebody new', () => {
  it.each([1, 2, 3, 4, 5, 6, 7])('of March %i comes on the next Monday at nine', (day) => {
    const start = newWalker(new Date(2027, 2, day, 15)).start
    // 1 March 2027 is a Monday: whoever plans on it means the next.
    expect(start).toBe('2027-03-08T09:00:00')
  })
})

describe('going back to before a message', () => {
  const choices = ['e0', 'e1', 'e2'].map((step) => ({ step }) as WalkChoice)

  it('takes back its choice and all later ones', () => {
    expect(before(choices, 'e1').map((one) => one.step)).toEqual(['e0'])
    expect(before(choices, 'e0')).toEqual([])
  })

  it('takes back nothing for a message that was not reached', () => {
    expect(before(choices, 'e9')).toEqual(choices)
  })
})
