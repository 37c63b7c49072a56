import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { UnderstoodView } from '@/api/types'
import { page, plugins } from '@/testing'
import { useJourneyStore } from '../journeyStore'
import { email } from '../newSteps'
import { testJourney } from '../testJourney'
import { TestServer } from '../testServer'
import TypedLine from './TypedLine.vue'

let server: TestServer

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = (request: Request) => server.fetch(request)
  return answeredBy(original, fetch)
})

const JOURNEY = testJourney(email('a', 'm'))
const UNDERSTOOD = {
  journey: JOURNEY,
  selected: 'new',
  below: 'new',
  sentences: [],
  messages: [],
  news: [],
  shared: [],
  sheet: null,
}

let field: VueWrapper
afterEach(() => field.unmount())

async function line(props: Partial<InstanceType<typeof TypedLine>['$props']> = {}) {
  const pinia = createPinia()
  setActivePinia(pinia)
  server = new TestServer(JOURNEY)
  await useJourneyStore().open(1)
  field = mount(TypedLine, {
    props: { row: 'a', label: 'Next', ...props },
    attachTo: page(),
    global: { plugins: [...plugins(pinia)] as never[] },
  })
}

async function type(text: string) {
  const area = field.get('textarea')
  ;(area.element as HTMLTextAreaElement).focus()
  await area.setValue(text)
  await new Promise((done) => setTimeout(done, 80))
  await flushPromises()
}

const enter = async () => {
  await field.get('textarea').trigger('keydown', { key: 'Enter' })
  await flushPromises()
}
const understood = () => field.emitted<[UnderstoodView]>('understood')

describe('a typed line', () => {
  it('is read while it is typed, and added with Enter', async () => {
    await line()
    server.reading = (text) =>
      text === 'wait 2 days' ? { understood: UNDERSTOOD as unknown as UnderstoodView } : {}
    await type('wait 2 days')
    const read = server.asked.find((one) => one.path.endsWith('/readings'))
    expect(read?.body).toMatchObject({ row: 'a', replaces: false, text: 'wait 2 days' })
    await enter()
    expect(understood()?.[0]?.[0].selected).toBe('new')
    expect((field.get('textarea').element as HTMLTextAreaElement).value).toBe('')
  })

  it('leaves what was edited while the server read it', async () => {
    await line()
    const store = useJourneyStore()
    let edits = 1
    server.reading = () => {
      if (edits-- > 0)
        store.edit('add email', (now) => ({ ...now, body: [...now.body, email('b', 'm')] }))
      return { understood: { ...UNDERSTOOD, journey: store.journey } as unknown as UnderstoodView }
    }
    await field.get('textarea').setValue('wait 2 days')
    await enter()
    await flushPromises()
    expect(understood()).toHaveLength(1)
    expect(understood()![0]![0].journey.body.map((step) => step.id)).toEqual(['a', 'b'])
    const read = server.asked.filter((one) => one.path.endsWith('/readings'))
    expect((read.at(-1)!.body as { journey: typeof JOURNEY }).journey.body).toHaveLength(2)
  })

  it('that is not understood says why, and keeps what was typed', async () => {
    await line()
    server.reading = () => ({
      refused: { why: 'There is no month of that name.', from: 5, to: 9, asks: false, offers: [] },
    })
    await type('wait Flub 3')
    expect(field.text()).toContain('There is no month of that name.')
    await enter()
    expect(understood()).toBeUndefined()
    expect((field.get('textarea').element as HTMLTextAreaElement).value).toBe('wait Flub 3')
  })

  it('offers how to go on, and takes what is chosen with the keyboard', async () => {
    await line()
    server.reading = (text) =>
      text.startsWith('wait 2 days')
        ? { understood: UNDERSTOOD as unknown as UnderstoodView }
        : { completions: [{ text: 'wait 2 days', from: 0, kind: 'WORD', note: '' }] as never }
    await type('wa')
    const offered = [...document.querySelectorAll('[role=option]')]
    expect(offered.map((one) => one.textContent)).toEqual([expect.stringContaining('wait 2 days')])
    await field.get('textarea').trigger('keydown', { key: 'ArrowDown' })
    await enter()
    await flushPromises()
    expect((field.get('textarea').element as HTMLTextAreaElement).value).toMatch(/^wait 2 days ?$/)
    expect(understood()).toBeUndefined()
  })

  it('that changes a sentence begins with it, and goes away unchanged on Escape', async () => {
    await line({ replaced: { spans: [{ text: 'wait 1 day', strong: false }] } as never })
    expect((field.get('textarea').element as HTMLTextAreaElement).value).toBe('wait 1 day')
    await field.get('textarea').trigger('keydown', { key: 'Escape' })
    expect(field.emitted('cancel')).toHaveLength(1)
    expect(understood()).toBeUndefined()
  })

  describe('with Enter', () => {
    const readings = () =>
      server.asked.filter((one) => (one.body as { text?: string })?.text === 'wait 2 days')
    beforeEach(async () => {
      await line()
      server.reading = () => ({ understood: UNDERSTOOD as unknown as UnderstoodView })
      await type('wait 2 days')
    })

    it('is what was just read, without asking again', async () => {
      await enter()
      expect(understood()).toHaveLength(1)
      expect(readings()).toHaveLength(1)
    })

    it('is read anew if the journey has changed since', async () => {
      useJourneyStore().edit('rename', (before) => ({ ...before, name: 'Another' }))
      await enter()
      expect(readings().at(-1)?.body).toMatchObject({ journey: { name: 'Another' } })
      expect(readings()).toHaveLength(2)
    })

    it('is read anew if it is for another place', async () => {
      await field.setProps({ row: 'end' })
      await enter()
      expect(readings().at(-1)?.body).toMatchObject({ row: 'end' })
      expect(understood()).toHaveLength(1)
    })

    it('is read anew if it has stood there for long', async () => {
      vi.spyOn(Date, 'now').mockReturnValue(Date.now() + 11_000)
      await enter()
      vi.restoreAllMocks()
      expect(readings()).toHaveLength(2)
    })
  })
})
