import { flushPromises } from '@vue/test-utils'
import { ref } from 'vue'
import { describe, expect, it } from 'vitest'
import type { Completion, Suggestion } from '@/api/types'
import { within } from '@/testing'
import { useReadWhileTyped, useWaysBelow } from './useTypedLine'

interface Reading {
  completions: Completion[]
  of: string
}
const way = (text: string, from = 0): Completion => ({ text, from, what: 'a way' }) as Completion

/** A server that answers when it is told to, in whatever order. */
function server() {
  const waiting: { text: string; answer: (some: Completion[]) => void; fail: () => void }[] = []
  const ask = (text: string) =>
    new Promise<Reading>((resolve, reject) => {
      waiting.push({
        text,
        answer: (completions) => resolve({ completions, of: text }),
        fail: () => reject(new Error('The application does not answer.')),
      })
    })
  return { waiting, ask }
}

function typing(begun = '') {
  const { waiting, ask } = server()
  const line = useReadWhileTyped<Reading>(begun, ask, 0)
  const type = (text: string) => {
    line.text.value = text
    line.caret.value = text.length
    void line.read()
  }
  return { waiting, line, type }
}

describe('a line that is read while it is typed', () => {
  it('shows what the newest text came to, however late the others are answered', async () => {
    const { waiting, line, type } = typing()
    type('wait')
    type('wait 2')
    waiting[1]!.answer([way('wait 2 days')])
    await flushPromises()
    waiting[0]!.answer([way('wait until')])
    await flushPromises()
    expect(line.view.value?.of).toBe('wait 2')
    expect(line.completions.value.map((one) => one.text)).toEqual(['wait 2 days'])
  })

  it('shows nothing of a text that stands there no more', async () => {
    const { waiting, line, type } = typing()
    type('wait')
    waiting[0]!.answer([way('wait until')])
    await flushPromises()
    line.text.value = 'wait a'
    expect(line.view.value).toBeNull()
    expect(line.completions.value).toEqual([])
  })

  it('says what went wrong until something is read again', async () => {
    const { waiting, line, type } = typing()
    type('wait')
    waiting[0]!.fail()
    await flushPromises()
    expect(line.trouble.value).toBe('The application does not answer.')
    expect(line.text.value).toBe('wait')
    type('wait 2')
    waiting[1]!.answer([])
    await flushPromises()
    expect(line.trouble.value).toBeNull()
  })

  it('does not complain of a question that nobody waits for any more', async () => {
    const { waiting, line, type } = typing()
    type('wait')
    type('wait 2')
    waiting[1]!.answer([])
    waiting[0]!.fail()
    await flushPromises()
    expect(line.trouble.value).toBeNull()
  })

  it('offers eight ways at most, and none that is typed already', async () => {
    const { waiting, line, type } = typing()
    type('add tag vip')
    const many = Array.from({ length: 12 }, (_, n) => way(`vip ${n}`, 8))
    waiting[0]!.answer([way('vip', 8), ...many])
    await flushPromises()
    expect(line.completions.value).toHaveLength(8)
    expect(line.completions.value[0]!.text).toBe('vip 0')
  })
})

describe('the ways below it', () => {
  function below(begun: string, wrong: { offers: Suggestion[] } | null = null) {
    const { waiting, ask } = server()
    const line = useReadWhileTyped<Reading>(begun, ask, 0)
    const ways = within(() => useWaysBelow(line, ref(wrong)))
    ways.focused.value = true
    const tab = (shiftKey = false) => {
      const event = new KeyboardEvent('keydown', { key: 'Tab', shiftKey, cancelable: true })
      const done = ways.onTab(event)
      return { event, done }
    }
    return { waiting, line, ways, tab }
  }

  it('Tab reads what is not read yet, and goes on by the first way', async () => {
    const { waiting, line, tab } = below('wa')
    const { event, done } = tab()
    expect(event.defaultPrevented).toBe(true)
    waiting[0]!.answer([way('wait'), way('wait until')])
    await done
    expect(line.text.value).toBe('wait ')
  })

  it('Tab leaves the line where it is empty, and Shift Tab always', () => {
    expect(below('').tab().event.defaultPrevented).toBe(false)
    expect(below('wa').tab(true).event.defaultPrevented).toBe(false)
  })

  it('the arrow keys come round, past choosing none', async () => {
    const { waiting, line, ways } = below('wa')
    void line.read()
    waiting[0]!.answer([way('wait'), way('wait until')])
    await flushPromises()
    expect(ways.chosen()).toBeUndefined()
    ways.move(1)
    expect(ways.chosen()?.text).toBe('wait')
    ways.move(1)
    ways.move(1)
    expect(ways.chosen()).toBeUndefined()
    ways.move(-1)
    expect(ways.chosen()?.text).toBe('wait until')
  })

  it('what is wrong is corrected first, as a whole', async () => {
    const offer = { text: 'wait 2 days', says: 'wait 2 days' } as Suggestion
    const { waiting, line, ways } = below('wiat 2 days', { offers: [offer] })
    void line.read()
    waiting[0]!.answer([way('and then')])
    await flushPromises()
    expect(ways.ways.value.map((one) => one.text)).toEqual(['wait 2 days'])
    void ways.take(ways.ways.value[0]!)
    await flushPromises()
    expect(line.text.value).toBe('wait 2 days')
  })

  it('are closed to whoever wants none', async () => {
    const { waiting, line, ways } = below('wa')
    void line.read()
    waiting[0]!.answer([way('wait')])
    await flushPromises()
    expect(ways.open.value).toBe(true)
    ways.closed.value = true
    ways.move(1)
    expect(ways.chosen()).toBeUndefined()
  })
})
