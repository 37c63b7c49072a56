import { mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import type { MessageView } from '@/api/types'
import { page, plugins } from '@/testing'
import MessagePicker from './MessagePicker.vue'

const MESSAGES = [
  { id: 'planner', name: 'Your hive planner', content: { kind: 'email', subject: 'It is here' } },
  { id: 'jar', name: 'A jar on us', content: { kind: 'email', subject: 'A jar on us' } },
  { id: 'come', name: 'Come by', content: { kind: 'text', words: 'We are open' } },
] as unknown as MessageView[]

let picker: VueWrapper
beforeEach(() => {
  picker = mount(MessagePicker, {
    props: { value: 'jar', messages: MESSAGES },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
})
afterEach(() => picker.unmount())

const offered = () => picker.findAll('[role=option]').map((one) => one.text())
async function look(words: string) {
  await picker.get('input').setValue(words)
}

describe('choosing a message', () => {
  it('shows the chosen one, and one that is gone as missing', async () => {
    expect(picker.get('input').element.value).toBe('A jar on us')
    await picker.setProps({ value: 'gone' })
    expect(picker.get('input').element.value).toBe('gone (missing)')
  })

  it('finds by name, subject and words, in any order', async () => {
    await look('planner hive')
    expect(offered()).toEqual(['Your hive plannerIt is here'])
    await look('open')
    expect(offered()).toEqual(['Come byWe are open'])
    await look('flub')
    expect(picker.text()).toContain('No message is called so.')
  })

  it('says a subject only where it is not the name', async () => {
    await look('jar')
    expect(offered()).toEqual(['A jar on us'])
  })

  it('tells which one was taken', async () => {
    await look('come')
    picker
      .get('[role=option]')
      .element.dispatchEvent(new MouseEvent('mousedown', { bubbles: true, button: 0 }))
    expect(picker.emitted('change')).toEqual([['come']])
  })
})
