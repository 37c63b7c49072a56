import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { page, plugins } from '@/testing'
import { useJourneyStore } from './journeyStore'
import { email } from './newSteps'
import RunSheetPanel from './RunSheetPanel.vue'
import { useSelection } from './selectionStore'
import { testJourney } from './testJourney'
import { TestServer } from './testServer'

let server: TestServer

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = (request: Request) => server.fetch(request)
  return answeredBy(original, fetch)
})

let panel: VueWrapper
afterEach(() => panel.unmount())

async function shown(change = {}) {
  const pinia = createPinia()
  setActivePinia(pinia)
  server = new TestServer(testJourney(email('a', 'm'), email('b', 'm'), email('c', 'm')), change)
  panel = mount(RunSheetPanel, {
    attachTo: page(),
    global: { plugins: [...plugins(pinia)] as never[] },
  })
  await useJourneyStore().open(1)
  await flushPromises()
  return { store: useJourneyStore(), selection: useSelection() }
}

const row = (id: string) => panel.get(`[data-row="${id}"]`)
const rows = () => panel.findAll('[data-row]').map((one) => one.attributes('data-row'))
const focused = () => document.activeElement?.getAttribute('data-row')

async function press(key: string, how: KeyboardEventInit = {}) {
  const target = document.activeElement ?? document.body
  target.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, ...how }))
  await flushPromises()
}

describe('the run sheet', () => {
  beforeEach(() => {
    Element.prototype.scrollIntoView = vi.fn()
  })

  it('stands from the trigger to the goal, with one stop for the Tab key', async () => {
    await shown()
    expect(rows()).toEqual(['journey', 'window', 'a', 'b', 'c', 'goal'])
    expect(panel.findAll('[data-row][tabindex="0"]')).toHaveLength(1)
    expect(panel.text()).toContain('3 steps')
  })

  it('is gone through by the arrow keys, and the focus goes along', async () => {
    const { selection } = await shown()
    row('journey').element.dispatchEvent(new MouseEvent('click', { bubbles: true }))
    ;(row('journey').element as HTMLElement).focus()
    await press('ArrowDown')
    await press('ArrowDown')
    expect(selection.selected).toBe('a')
    expect(focused()).toBe('a')
    await press('ArrowDown', { shiftKey: true })
    expect(selection.chosen).toEqual(['a', 'b'])
    await press('End')
    expect(focused()).toBe('goal')
    await press('Home')
    expect(focused()).toBe('journey')
  })

  it('removes a step with one key, and stays where it was', async () => {
    const { store, selection } = await shown()
    selection.select('c')
    await flushPromises()
    ;(row('c').element as HTMLElement).focus()
    await press('Delete')
    expect(store.journey?.body.map((step) => step.id)).toEqual(['a', 'b'])
    expect(selection.selected).toBe('b')
    expect(focused()).toBe('b')
    store.undo()
    await flushPromises()
    expect(rows()).toContain('c')
  })

  it('asks before more goes than the one step, and does nothing without an answer', async () => {
    const { store, selection } = await shown()
    selection.select('b')
    await flushPromises()
    ;(row('b').element as HTMLElement).focus()
    await press('Delete')
    expect(store.canUndo).toBe(false)
    const buttons = panel.findAll('li button').map((one) => one.text())
    expect(buttons.length).toBeGreaterThanOrEqual(3)
    await panel.findAll('li button').at(-1)!.trigger('click')
    await flushPromises()
    expect(store.journey?.body).toHaveLength(3)
    expect(focused()).toBe('b')
  })

  it('opens the line to be typed in, and leaves it as it was on Escape', async () => {
    const { store, selection } = await shown()
    selection.select('b')
    await flushPromises()
    ;(row('b').element as HTMLElement).focus()
    await press('Enter')
    const field = panel.get('textarea[aria-label="Change the sentence"]')
    expect((field.element as HTMLTextAreaElement).value).toBe('step b')
    await field.trigger('keydown', { key: 'Escape' })
    await flushPromises()
    expect(panel.find('textarea[aria-label="Change the sentence"]').exists()).toBe(false)
    expect(store.canUndo).toBe(false)
    expect(focused()).toBe('b')
  })

  it('sends several chosen rows to be moved together', async () => {
    const { selection } = await shown()
    selection.choose(['b', 'c'])
    await flushPromises()
    await panel.get('[aria-label="Move step up"]').trigger('click')
    await flushPromises()
    const order = server.asked.find((one) => one.path === '/api/arrangements')
    expect(order?.body).toMatchObject({ action: 'UP', rows: ['b', 'c'] })
  })

  it('goes to the next finding, and says so where one key mends nothing', async () => {
    const finding = { code: 'x', severity: 'WARNING', sentence: 'Look.', step: 'c', fix: null }
    const { selection } = await shown({ findings: [finding] })
    ;(row('journey').element as HTMLElement).focus()
    await press('F8')
    expect(selection.selected).toBe('c')
    expect(row('c').find('[aria-label="Look."]').exists()).toBe(true)
    await press('F9')
    expect(panel.get('[role=alert]').text()).toContain('Nothing here can be mended')
  })

  it('mends what is on the screen, also what is not saved yet', async () => {
    const fix = { label: 'Send once', changes: { frequencyGuard: null, zone: 'Europe/Madrid' } }
    const finding = { code: 'x', severity: 'WARNING', sentence: 'Look.', step: 'c', fix }
    const { store, selection } = await shown({ findings: [finding] })
    selection.select('c')
    await flushPromises()
    ;(row('c').element as HTMLElement).focus()
    store.edit('rename', (journey) => ({ ...journey, name: 'Renamed' }))
    await press('F9')
    expect(store.journey).toMatchObject({ name: 'Renamed', zone: 'Europe/Madrid' })
    expect(store.undoName).toBe('send once')
  })
})
