import { enableAutoUnmount } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { effectScope, nextTick, ref, type Ref } from 'vue'
import { within } from '@/testing'
import { useDraft } from './useDraft'

enableAutoUnmount(afterEach)

beforeEach(() => sessionStorage.clear())

/** As somebody would see it who comes to its page, and how they leave it. */
function opened(saved: Ref<{ name: string } | undefined>, place = 'test') {
  const scope = effectScope()
  const draft = scope.run(() => useDraft(saved, place))!
  return { ...draft, leave: () => scope.stop() }
}

describe('a draft of what is saved', () => {
  it('shows what was saved elsewhere as long as nothing is changed here', async () => {
    const saved = ref({ name: 'Ambercomb' })
    const { given, changed } = within(() => useDraft(saved, 'test'))
    saved.value = { name: 'Ambercomb Ltd' }
    await nextTick()
    expect(given.value).toEqual({ name: 'Ambercomb Ltd' })
    expect(changed.value).toBe(false)
  })

  it('keeps what was changed here, whatever is saved elsewhere', async () => {
    const saved = ref({ name: 'Ambercomb' })
    const { given, changed } = within(() => useDraft(saved, 'test'))
    given.value!.name = 'Honey'
    saved.value = { name: 'Ambercomb Ltd' }
    await nextTick()
    expect(given.value).toEqual({ name: 'Honey' })
    expect(changed.value).toBe(true)
  })

  it('never changes what is saved, and is unchanged once it is back there', () => {
    const saved = ref({ name: 'Ambercomb' })
    const { given, changed, take } = within(() => useDraft(saved, 'test'))
    given.value!.name = 'Honey'
    expect(saved.value.name).toBe('Ambercomb')
    given.value!.name = 'Ambercomb'
    expect(changed.value).toBe(false)
    given.value!.name = 'Honey'
    take({ name: 'Wax' })
    expect([given.value, changed.value]).toEqual([{ name: 'Wax' }, false])
  })

  it('asks before the page is left with changes, and only then', () => {
    const { given } = within(() => useDraft(ref({ name: 'Ambercomb' }), 'test'))
    const leave = () => {
      const event = new Event('beforeunload', { cancelable: true })
      window.dispatchEvent(event)
      return event.defaultPrevented
    }
    expect(leave()).toBe(false)
    given.value!.name = 'Honey'
    expect(leave()).toBe(true)
  })

  it('waits until it is known what is saved', async () => {
    const saved = ref<{ name: string }>()
    const { given, changed } = within(() => useDraft(saved, 'test'))
    expect([given.value, changed.value]).toEqual([null, false])
    saved.value = { name: 'Ambercomb' }
    await nextTick()
    expect(given.value).toEqual({ name: 'Ambercomb' })
  })

  it('is found again where its page was left, at that place only', async () => {
    const first = opened(ref({ name: 'Ambercomb' }))
    first.given.value!.name = 'Honey'
    await nextTick()
    first.leave()
    const again = opened(ref({ name: 'Ambercomb' }))
    expect([again.given.value, again.changed.value]).toEqual([{ name: 'Honey' }, true])
    const other = opened(ref({ name: 'Lathe & Loom' }), 'other')
    expect([other.given.value, other.changed.value]).toEqual([{ name: 'Lathe & Loom' }, false])
  })

  it('is changed still when the same was saved elsewhere while nobody looked', async () => {
    const first = opened(ref({ name: 'Ambercomb' }))
    first.given.value!.name = 'Honey'
    await nextTick()
    first.leave()
    const again = opened(ref({ name: 'Wax' }))
    expect([again.given.value, again.changed.value]).toEqual([{ name: 'Honey' }, true])
    again.take({ name: 'Wax' })
    await nextTick()
    again.leave()
    const last = opened(ref({ name: 'Candles' }))
    expect([last.given.value, last.changed.value]).toEqual([{ name: 'Candles' }, false])
  })

  it('begins anew with what was saved, and keeps what was typed since', () => {
    const { given, changed, take } = opened(ref({ name: 'Ambercomb' }))
    take({ name: 'Wax' }, { name: 'Waxes' })
    expect([given.value, changed.value]).toEqual([{ name: 'Waxes' }, true])
    given.value!.name = 'Wax'
    expect(changed.value).toBe(false)
  })
})
