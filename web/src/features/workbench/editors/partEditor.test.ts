import { VueQueryPlugin } from '@tanstack/vue-query'
import { createPinia } from 'pinia'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { type App, createApp, h, nextTick, shallowRef } from 'vue'
import { queryClient } from '@/api/queries'
import PartEditor from './PartEditor.vue'
import { beginning, type Fields, part, shapeOf, type Value, WEEKDAYS } from './shapes'

vi.mock('@/api/client', () => ({
  api: { GET: () => Promise.resolve([]) },
  answerOf: (asked: Promise<unknown>) => asked,
  reasonOf: String,
}))

const KNOWN = { StepId: 'a', MessageId: 'hello', SegmentName: 'Keen', LinkName: 'A' }
const FAMILIES = ['Trigger', 'ReEntry', 'WaitRule', 'RecordChange', 'Notice', 'EmailRef']

let app: App | null = null
afterEach(() => app?.unmount())

/** An editor of a part that keeps what it is told, as a journey does. */
function edit(name: string, start: Value) {
  const value = shallowRef(start)
  const host = document.createElement('div')
  document.body.replaceChildren(host)
  const schema = part(name)
  app = createApp(() =>
    h(PartEditor, {
      schema,
      value: value.value,
      label: 'The part',
      emails: ['a', 'b'],
      onChange: (changed: Value) => (value.value = changed),
    }),
  )
  app.use(createPinia()).use(VueQueryPlugin, { queryClient }).mount(host)
  return { value, host }
}

function set(control: Element, to: string) {
  ;(control as HTMLInputElement).value = to
  control.dispatchEvent(new Event('input'))
  control.dispatchEvent(new Event('change'))
  return nextTick()
}

const nameless = (host: Element) =>
  [...host.querySelectorAll('input, select, button')].filter(
    (one) =>
      !one.getAttribute('aria-label') &&
      !one.closest('label')?.textContent?.trim() &&
      !one.textContent?.trim(),
  )

const kindsOf = (family: string) => {
  const shape = shapeOf(part(family))
  return shape.type === 'oneOf' ? shape.kinds.map((one) => one.kind) : []
}

describe('the editor of any part', () => {
  it.each(FAMILIES)('shows every kind of %s, with a name on every control', async (family) => {
    const { value, host } = edit(family, beginning(part(family), KNOWN))
    for (const kind of kindsOf(family)) {
      await set(host.querySelector('select')!, kind)
      expect((value.value as Fields).kind).toBe(kind)
      expect(nameless(host)).toEqual([])
      for (const box of host.querySelectorAll<HTMLInputElement>('input[type=checkbox]')) {
        box.click()
        await nextTick()
      }
      expect(nameless(host)).toEqual([])
    }
  })

  it('adds what may be left out, and takes it away again', async () => {
    const { value, host } = edit('WaitRule', {
      kind: 'for',
      amount: { count: 2, unit: 'DAYS' },
      thenUntil: null,
    })
    const box = host.querySelector<HTMLInputElement>('input[type=checkbox]')!
    box.click()
    await nextTick()
    const added = (value.value as Fields).thenUntil as { time: string; days: string[] }
    expect(added.days.length).toBeGreaterThan(0)
    await set(host.querySelector('input[type=time]')!, '07:45')
    expect(((value.value as Fields).thenUntil as { time: string }).time).toBe('07:45')
    box.click()
    await nextTick()
    expect((value.value as Fields).thenUntil).toBeNull()
    expect((value.value as Fields).amount).toEqual({ count: 2, unit: 'DAYS' })
  })

  it('keeps at least one weekday', async () => {
    const days = [...WEEKDAYS].slice(0, 2)
    const { value, host } = edit('TimeOfDay', { time: '09:00', days })
    const buttons = [...host.querySelectorAll('button')]
    expect(buttons.map((one) => one.getAttribute('aria-pressed'))).toEqual([
      ...['true', 'true'],
      ...Array<string>(5).fill('false'),
    ])
    buttons[0]!.click()
    await nextTick()
    expect((value.value as Fields).days).toEqual([WEEKDAYS[1]])
    host.querySelectorAll('button')[1]!.click()
    await nextTick()
    expect((value.value as Fields).days).toEqual([WEEKDAYS[1]])
  })

  it('adds to a list and changes one of its items', async () => {
    const { value, host } = edit('RecordChange', {
      kind: 'moveToList',
      list: 'Members',
      from: ['Newcomers'],
    })
    const more = [...host.querySelectorAll('button')].find((b) => b.textContent?.includes('And'))!
    more.click()
    await nextTick()
    expect((value.value as { from: string[] }).from).toHaveLength(2)
    await set(host.querySelector('[aria-label$="1"]')!, 'Guests')
    expect((value.value as { from: string[] }).from[0]).toBe('Guests')
  })

  it('changes numbers and dates where they stand', async () => {
    const { value, host } = edit('ReEntry', { kind: 'afterDays', days: 30 })
    await set(host.querySelector('input')!, '45')
    expect(value.value).toEqual({ kind: 'afterDays', days: 45 })
  })

  it('adds to a list and takes away from it', async () => {
    const begun = { kind: 'eventArrives', event: 'course booked', where: [] }
    const { value, host } = edit('Trigger', begun)
    const where = () => (value.value as { where: Fields[] }).where
    const press = (name: RegExp) => {
      const all = [...host.querySelectorAll('button')]
      all
        .find((one) => name.test(one.getAttribute('aria-label') ?? one.textContent!.trim()))!
        .click()
      return nextTick()
    }
    await press(/^Add to /)
    expect(where()).toHaveLength(1)
    await press(/^And another$/)
    await set(host.querySelectorAll('input')[3]!, 'seats')
    const [, last] = where()
    await press(/^Remove .* 1$/)
    expect(where()).toEqual([last])
  })
})
