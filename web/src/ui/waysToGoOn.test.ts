import { describe, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { offered, taken, useActive, type Way } from './waysToGoOn'

const way = (text: string, from: number): Way => ({ text, from, what: '' })

describe('a way that is taken', () => {
  it('stands in place of what was begun, with a space behind it', () => {
    expect(taken(way('are on list', 0), 'is on li', 8)).toEqual({ text: 'are on list ', caret: 12 })
  })

  it('leaves what follows the caret, and doubles no space', () => {
    expect(taken(way('Newcomers', 12), 'are on list New and have tag x', 15)).toEqual({
      text: 'are on list Newcomers and have tag x',
      caret: 21,
    })
  })

  it('puts no space behind one that ends with a space or a parenthesis', () => {
    expect(taken(way('not (', 0), 'no', 2)).toEqual({ text: 'not (', caret: 5 })
    expect(taken(way('wait ', 0), 'wa', 2)).toEqual({ text: 'wait ', caret: 5 })
  })

  it('may be the whole text', () => {
    const [answer] = offered([{ says: 'new product', text: 'bought “any”' }], 'answer')
    expect(answer).toMatchObject({ text: 'new product', what: 'answer' })
    expect(taken(answer!, 'bought any', 3)).toEqual({ text: 'bought “any”', caret: 12 })
  })
})

describe('the arrow keys', () => {
  it('go through the ways and past them to none, either way round', () => {
    const ways = ref([way('one', 0), way('two', 0)])
    const { active, move } = useActive(ways)
    const gone = (by: 1 | -1) => (move(by), active.value)
    expect([gone(1), gone(1), gone(1), gone(1)]).toEqual([0, 1, -1, 0])
    expect([gone(-1), gone(-1), gone(-1)]).toEqual([-1, 1, 0])
  })

  it('are at none of other ways', async () => {
    const ways = ref([way('one', 0), way('two', 0)])
    const { active, move } = useActive(ways)
    move(1)
    ways.value = [way('three', 0)]
    await nextTick()
    expect(active.value).toBe(-1)
  })

  it('stay where they are if there is no way', () => {
    const { active, move } = useActive(ref([]))
    move(1)
    expect(active.value).toBe(-1)
  })
})
