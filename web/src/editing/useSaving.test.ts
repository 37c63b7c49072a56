import { flushPromises } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { Refused } from '@/api/client'
import { useSaving } from './useSaving'

/** A server that answers one save after another when it is told to. */
function server() {
  const asked: { document: string; answer: (why?: Error) => void }[] = []
  const send = (document: string) =>
    new Promise<void>((done, refuse) =>
      asked.push({ document, answer: (why) => (why ? refuse(why) : done()) }),
    )
  return { asked, send }
}

const lost = () => new Refused({ status: 409, code: 'save-lost', detail: 'Lost.' })

describe('saving', () => {
  it('sends one after another, and of those that wait only the newest', async () => {
    const { asked, send } = server()
    const { save, state, idle } = useSaving(send)
    save('one')
    save('two')
    save('three')
    expect(state.value.status).toBe('saving')
    asked[0]!.answer()
    await flushPromises()
    asked[1]!.answer()
    await idle()
    expect(asked.map((one) => one.document)).toEqual(['one', 'three'])
    expect(state.value.status).toBe('saved')
  })

  it('says why it was refused, and saves what comes next all the same', async () => {
    const { asked, send } = server()
    const { save, state, idle } = useSaving(send)
    save('bad')
    asked[0]!.answer(new Error('That is no name.'))
    await idle()
    expect(state.value).toEqual({ status: 'refused', reason: 'That is no name.' })
    save('good')
    asked[1]!.answer()
    await idle()
    expect(state.value.status).toBe('saved')
  })

  it('sends nothing more after a lost race until that is settled', async () => {
    const { asked, send } = server()
    const { save, state, idle, reset } = useSaving(send)
    save('mine')
    save('mine too')
    asked[0]!.answer(lost())
    await idle()
    save('and this')
    await flushPromises()
    expect(asked).toHaveLength(1)
    expect(state.value.status).toBe('lost')
    reset()
    save('merged')
    expect(asked.map((one) => one.document)).toEqual(['mine', 'merged'])
  })
})
