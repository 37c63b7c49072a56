import { describe, expect, it } from 'vitest'
import { createApp, h, nextTick, ref } from 'vue'
import DraftInput from './DraftInput.vue'

describe('an input that is being typed into', () => {
  it('keeps what is typed when the page is drawn anew, and gives it on change', async () => {
    const other = ref(0)
    const given: string[] = []
    const host = document.createElement('div')
    const take = (event: Event) => given.push((event.target as HTMLInputElement).value)
    createApp(() =>
      h(
        'div',
        { title: other.value },
        h(DraftInput, { value: 20_000, onChange: take, key: 1, 'data-n': other.value }),
      ),
    ).mount(host)
    const input = host.querySelector('input')!
    input.value = '3000'
    input.dispatchEvent(new Event('input'))
    other.value++
    await nextTick()
    expect(input.dataset.n).toBe('1')
    expect(input.value).toBe('3000')
    input.dispatchEvent(new Event('change'))
    expect(given).toEqual(['3000'])
  })
})
