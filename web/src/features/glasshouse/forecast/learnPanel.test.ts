import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { json } from '@/api/testClient'
import { page, plugins } from '@/testing'
import LearnPanel from './LearnPanel.vue'

const saves: unknown[] = []
let differs: boolean

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    if (request.url.endsWith('/lessons')) {
      return json({
        sentences: [],
        lessons: [
          {
            about: 'OPENS',
            step: 'a',
            unit: 'SHARE',
            before: 0.4,
            now: 0.3,
            low: 0.2,
            high: 0.35,
            count: 90,
            differs,
          },
          {
            about: 'OPEN_MEDIAN',
            step: null,
            unit: 'HOURS',
            before: 3,
            now: 2.5,
            low: 2,
            high: 4,
            count: 30,
            differs: false,
          },
        ],
        verdict: 'One of 2 values differs.',
        goal: null,
        behaviour: { measured: true },
      })
    }
    if (request.method === 'PUT') {
      const body = (await request.json()) as { version: number; behaviour: unknown }
      saves.push(body.behaviour)
      return json({ id: 7, behaviour: body.behaviour, behaviourVersion: body.version + 1 })
    }
    return json({ id: 7, behaviour: { measured: false }, behaviourVersion: 4 })
  })
})

beforeEach(() => {
  saves.length = 0
  differs = true
  sessionStorage.clear()
})

async function learning() {
  const panel = mount(LearnPanel, {
    props: { journey: 7, names: new Map([['a', 'First frames']]) },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
  const button = (name: string) => panel.findAll('button').find((one) => one.text() === name)
  return { panel, button }
}

it('shows old, new and interval, and takes nothing over by itself', async () => {
  const { panel } = await learning()
  const rows = panel.findAll('tbody tr').map((row) => row.text().replace(/\s+/g, ' '))
  expect(rows[0]).toContain('40.0%')
  expect(rows[0]).toContain('20.0% to 35.0%')
  expect(rows[0]).toContain('differs')
  expect(rows[1]).toContain('2.5 h')
  expect(saves).toEqual([])
})

it('takes over and back as any change of assumptions', async () => {
  const { panel, button } = await learning()
  await button('Take over what was measured')!.trigger('click')
  await flushPromises()
  expect(panel.text()).toContain('The journey assumes what was measured')
  await button('Undo')!.trigger('click')
  await flushPromises()
  expect(saves).toEqual([{ measured: true }, { measured: false }])
  expect(button('Take over what was measured')).toBeDefined()
})

it('does not press for what could be chance', async () => {
  differs = false
  const { button } = await learning()
  expect(button('Take over what was measured')!.classes()).not.toContain('button-main')
})
