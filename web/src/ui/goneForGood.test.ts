import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import { page } from '@/testing'
import GoneForGood from './GoneForGood.vue'

const make = (busy = false) =>
  mount(GoneForGood, {
    attachTo: page(),
    props: { ask: 'Delete…', does: 'Delete Members', keeps: 'Keep it', busy },
    slots: { consequences: '1,031 people leave it.', default: '<a href="#file">As a file</a>' },
  })

describe('what is gone for good', () => {
  it('says first what it does, under a name of its own, and does nothing yet', async () => {
    const one = make()
    expect(one.text()).not.toContain('1,031 people leave it.')
    expect(one.find('a').exists()).toBe(true)
    await one.get('button').trigger('click')
    const question = one.get('[role=alertdialog]')
    const name = document.getElementById(question.attributes('aria-labelledby')!)
    expect(name?.textContent).toBe('1,031 people leave it. This cannot be taken back.')
    expect(one.emitted('sure')).toBeUndefined()
    one.unmount()
  })

  it('is kept at a word, and done only by the one that names it', async () => {
    const one = make()
    const press = (text: string) =>
      one
        .findAll('button')
        .find((button) => button.text() === text)!
        .trigger('click')
    await press('Delete…')
    await press('Keep it')
    expect(one.find('[role=alertdialog]').exists()).toBe(false)
    expect(one.emitted('sure')).toBeUndefined()
    await press('Delete…')
    await press('Delete Members')
    expect(one.emitted('sure')).toHaveLength(1)
    one.unmount()
  })

  it('is not done twice while it is under way', async () => {
    const one = make(true)
    await one.get('button').trigger('click')
    await one.get('button').trigger('click')
    expect(one.emitted('sure')).toBeUndefined()
    one.unmount()
  })
})
