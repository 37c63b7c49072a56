import { enableAutoUnmount, flushPromises } from '@vue/test-utils'
import { nextTick, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { Refused } from '@/api/client'
import { within } from '@/testing'
import { useKeptDraft, type Kept } from './useKeptDraft'

enableAutoUnmount(afterEach)
beforeEach(() => sessionStorage.clear())

interface Letter {
  name: string
  days: number
}

/** What the server keeps, which refuses what is not about its newest version, as all doors do. */
function server() {
  let is: Kept<Letter> = { document: { name: 'Spring', days: 3 }, version: 1 }
  const kept = ref<Kept<Letter> | undefined>(is)
  const sent: Kept<Letter>[] = []
  let hold: Promise<void> = Promise.resolve()
  const put = async (draft: Kept<Letter>) => {
    sent.push(draft)
    await hold
    if (draft.version !== is.version) {
      throw new Refused({
        status: 409,
        code: 'save-lost',
        detail: 'Somebody else has changed this letter since you opened it.',
        current: { version: is.version } as never,
      })
    }
    if (draft.document.name === '') {
      const fault = { code: 'empty', place: '/letter/name', sentence: 'A name has words.' }
      throw new Refused({ status: 400, code: 'bad', detail: 'No.', problems: [fault] })
    }
    is = { document: draft.document, version: is.version + 1 }
    return is
  }
  return {
    kept,
    sent,
    put,
    others: (document: Letter) => (is = { document, version: is.version + 1 }),
    look: async () => void (kept.value = is),
    hold: () => {
      let go: () => void = () => {}
      hold = new Promise((done) => (go = done))
      return go
    },
  }
}

function opened() {
  const there = server()
  const draft = within(() =>
    useKeptDraft<Letter>({
      kept: there.kept,
      place: 'letter.1',
      fields: ['letter/name'],
      put: there.put,
      lookAnew: there.look,
    }),
  )
  return { there, draft }
}

describe('a draft that is kept', () => {
  it('is kept as it is changed, and is no change then', async () => {
    const { there, draft } = opened()
    draft.given.value!.days = 5
    expect(draft.changed.value).toBe(true)
    expect(await draft.save()).toBe(true)
    expect(there.kept.value).toEqual({ document: { name: 'Spring', days: 5 }, version: 2 })
    expect(draft.changed.value).toBe(false)
  })

  it('loses nothing that is typed while it is being kept', async () => {
    const { there, draft } = opened()
    draft.given.value!.name = 'Summer'
    const go = there.hold()
    const saved = draft.save()
    await nextTick()
    draft.given.value!.name = 'Summer and autumn'
    go()
    expect(await saved).toBe(true)
    expect(there.kept.value!.document.name).toBe('Summer')
    expect(draft.given.value!.name).toBe('Summer and autumn')
    expect(draft.changed.value).toBe(true)
    expect(await draft.save()).toBe(true)
    expect(there.kept.value).toEqual({
      document: { name: 'Summer and autumn', days: 3 },
      version: 3,
    })
  })

  it('never takes the place of what somebody else has saved unless that is meant', async () => {
    const { there, draft } = opened()
    draft.given.value!.days = 9
    there.others({ name: 'Theirs', days: 1 })
    await there.look()
    await flushPromises()
    expect(draft.given.value).toEqual({ name: 'Spring', days: 9 })
    expect(await draft.save()).toBe(false)
    expect(there.kept.value!.document.name).toBe('Theirs')
    expect(draft.failure.value).toContain('Somebody else has changed this letter')
    expect(draft.failure.value).toContain('Save again to put yours in its place')
    expect(draft.given.value).toEqual({ name: 'Spring', days: 9 })
    expect(await draft.save()).toBe(true)
    expect(there.kept.value).toEqual({ document: { name: 'Spring', days: 9 }, version: 3 })
    expect(draft.failure.value).toBeNull()
  })

  it('gives way to what somebody else has saved when it is undone', async () => {
    const { there, draft } = opened()
    draft.given.value!.days = 9
    there.others({ name: 'Theirs', days: 1 })
    expect(await draft.save()).toBe(false)
    draft.undo()
    expect(draft.given.value).toEqual({ name: 'Theirs', days: 1 })
    expect(draft.failure.value).toBeNull()
    expect(draft.changed.value).toBe(false)
    draft.given.value!.days = 2
    expect(await draft.save()).toBe(true)
    expect(there.sent.at(-1)).toEqual({ document: { name: 'Theirs', days: 2 }, version: 2 })
  })

  it('tells at its field what cannot be kept, and stays as it was typed', async () => {
    const { there, draft } = opened()
    draft.given.value!.name = ''
    expect(await draft.save()).toBe(false)
    expect(draft.wrong.value).toEqual({ 'letter/name': 'A name has words.' })
    expect(draft.failure.value).toBeNull()
    expect(draft.given.value!.name).toBe('')
    expect(there.kept.value!.document.name).toBe('Spring')
  })

  it('is found again, with the version that it began with, by whoever comes back', async () => {
    const { there, draft } = opened()
    draft.given.value!.days = 9
    await nextTick()
    there.others({ name: 'Theirs', days: 1 })
    await there.look()
    const again = within(() =>
      useKeptDraft<Letter>({
        kept: there.kept,
        place: 'letter.1',
        put: there.put,
        lookAnew: there.look,
      }),
    )
    expect(again.given.value).toEqual({ name: 'Spring', days: 9 })
    expect(await again.save()).toBe(false)
    expect(there.kept.value!.document.name).toBe('Theirs')
  })
})
