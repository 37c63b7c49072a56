import { enableAutoUnmount } from '@vue/test-utils'
import { afterEach, describe, expect, it } from 'vitest'
import { nextTick, ref } from 'vue'
import { within } from '@/testing'
import { useDraft } from './useDraft'

enableAutoUnmount(afterEach)

describe('a draft of what is saved', () => {
  it('shows what was saved elsewhere as long as nothing is changed here', async () => {
    const saved = ref({ name: 'Ambercomb' })
    const { given, changed } = within(() => useDraft(saved))
    saved.value = { name: 'Ambercomb Ltd' }
    await nextTick()
    expect(given.value).toEqual({ name: 'Ambercomb Ltd' })
    expect(changed.value).toBe(false)
  })

  it('keeps what was changed here, whatever is saved elsewhere', async () => {
    const saved = ref({ name: 'Ambercomb' })
    const { given, changed } = within(() => useDraft(saved))
    given.value!.name = 'Honey'
    saved.value = { name: 'Ambercomb Ltd' }
    await nextTick()
    expect(given.value).toEqual({ name: 'Honey' })
    expect(changed.value).toBe(true)
  })

  it('never changes what is saved, and is unchanged once it is back there', () => {
    const saved = ref({ name: 'Ambercomb' })
    const { given, changed, take } = within(() => useDraft(saved))
    given.value!.name = 'Honey'
    expect(saved.value.name).toBe('Ambercomb')
    given.value!.name = 'Ambercomb'
    expect(changed.value).toBe(false)
    given.value!.name = 'Honey'
    take({ name: 'Wax' })
    expect([given.value, changed.value]).toEqual([{ name: 'Wax' }, false])
  })

  it('asks before the page is left with changes, and only then', () => {
    const { given } = within(() => useDraft(ref({ name: 'Ambercomb' })))
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
    const { given, changed } = within(() => useDraft(saved))
    expect([given.value, changed.value]).toEqual([null, false])
    saved.value = { name: 'Ambercomb' }
    await nextTick()
    expect(given.value).toEqual({ name: 'Ambercomb' })
  })
})
