import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import { page, plugins } from '@/testing'
import BringInHtml from './BringInHtml.vue'
import InboxView from './InboxView.vue'
import JourneyTestForm from './JourneyTestForm.vue'
import MessagesView from './MessagesView.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

let open: VueWrapper
beforeEach(() => doors.clear())
afterEach(() => open.unmount())
const global = (stubs = {}) => ({
  plugins: [...plugins()] as never[],
  stubs: { RouterLink: { template: '<a><slot /></a>' }, ...stubs },
})
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}

describe('an HTML mail that is brought in', () => {
  const DOOR = 'POST /api/message-imports'
  const read = (subject: string, change = {}) => ({
    subject,
    lines: [`Heading: ${subject}`],
    told: [],
    message: null,
    ...change,
  })
  const kept = () => doors.at(DOOR).filter((one) => (one.body as { keep: boolean }).keep)

  async function look(html: string) {
    await open.get('textarea').setValue(html)
    await press('See what it comes to')
  }

  beforeEach(() => {
    doors.answer(DOOR, read('Spring is here', { told: ['A script is not kept.'] }))
    open = mount(BringInHtml, { attachTo: page(), global: global() })
  })

  it('is shown as it would be kept, with what is lost, under its subject', async () => {
    await look('<h1>Spring</h1>')
    expect(open.get('[aria-label="What it comes to"]').text()).toBe('Heading: Spring is here')
    expect(open.get('[aria-label="What is not kept"]').text()).toBe('A script is not kept.')
    doors.answer(DOOR, read('Spring is here', { message: 'spring' }))
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(kept().map((one) => one.body)).toEqual([
      { name: 'Spring is here', html: '<h1>Spring</h1>', keep: true },
    ])
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/messages/spring')
  })

  it('is kept only as it was seen: whoever changes it looks again', async () => {
    await look('<h1>Spring</h1>')
    await open.get('textarea').setValue('<h1>Something else</h1>')
    expect(open.find('form').exists()).toBe(false)
    await press('See what it comes to')
    expect(open.find('form').exists()).toBe(true)
    expect(kept()).toEqual([])
  })

  it('is not taken for another that was pasted while it was read', async () => {
    await open.get('textarea').setValue('<p>first</p>')
    const go = doors.hold()
    await key('See what it comes to').trigger('click')
    await open.get('textarea').setValue('<p>second</p>')
    go()
    await flushPromises()
    expect(open.find('form').exists()).toBe(false)
  })

  it('says at its name that another is called so, and loses nothing', async () => {
    await look('<h1>Spring</h1>')
    doors.refuse(DOOR, 'No.', { '/name': 'Another message is called so.' })
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(open.text()).toContain('Another message is called so.')
    expect(open.get<HTMLTextAreaElement>('textarea').element.value).toBe('<h1>Spring</h1>')
    expect(open.get('[aria-label="What it comes to"]').text()).toBe('Heading: Spring is here')
  })
})

describe('the library of messages', () => {
  const message = (id: string, change = {}) => ({
    id,
    name: `Message ${id}`,
    content: { kind: 'email', subject: `About ${id}` },
    links: [],
    labels: [],
    archived: false,
    ...change,
  })
  beforeEach(async () => {
    doors.answer('GET /api/messages', [
      message('planner', { labels: ['welcome'] }),
      message('reminder', { content: { kind: 'text', words: 'Your course is tomorrow' } }),
      message('old', { archived: true, labels: ['spring'] }),
      message('idle'),
    ])
    doors.answer('GET /api/messages/uses', [
      { message: 'planner', journey: 4, strand: null, name: 'First frames', open: true },
      { message: 'reminder', journey: null, strand: 'course', name: 'The course', open: false },
    ])
    open = mount(MessagesView, { attachTo: page(), global: global() })
    await flushPromises()
  })
  const names = () => open.findAll('tbody tr').map((row) => row.get('a').text())

  it.each([
    ['all', ['Message planner', 'Message reminder', 'Message idle']],
    ['open', ['Message planner']],
    ['strands', ['Message reminder']],
    ['nowhere', ['Message idle']],
    ['away', ['Message old']],
  ])('shows which are asked for: %s', async (which, shown) => {
    await open.get('[aria-label="Which"]').setValue(which)
    expect(names()).toEqual(shown)
  })

  it('finds by name, subject, words and label, and says where nothing is like that', async () => {
    const find = open.get('[type=search]')
    await find.setValue(' COURSE is ')
    expect(names()).toEqual(['Message reminder'])
    await find.setValue('welcome')
    expect(names()).toEqual(['Message planner'])
    await find.setValue('swarm')
    expect(open.text()).toContain('No message is like that.')
    await find.setValue('')
    await open.get('[aria-label=Label]').setValue('spring')
    expect(names()).toEqual([])
  })

  it('begins one of its channel, and says why one cannot be called so', async () => {
    await press('New message')
    const name = open.get<HTMLInputElement>('[aria-label="Name of the message"]')
    await name.setValue('Course tomorrow')
    await open.get('[value=text]').setValue()
    doors.refuse('POST /api/messages', 'No.', { '/name': 'Another message is called so.' })
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(open.get('[role=alert]').text()).toBe('Another message is called so.')
    expect(name.element.value).toBe('Course tomorrow')
    doors.answer('POST /api/messages', { id: 'course-tomorrow' })
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(doors.at('POST /api/messages').at(-1)!.body).toMatchObject({
      content: { kind: 'text', words: 'Course tomorrow' },
    })
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/messages/course-tomorrow')
  })
})

describe('a test of a whole journey', () => {
  it('goes to the inbox here as one person, and says what is not among it', async () => {
    doors.answer('GET /api/journeys/names', [
      { id: 1, name: 'First frames' },
      { id: 2, name: 'Left on the bench' },
    ])
    doors.answer('POST /api/journeys/2/tests', {
      to: 'mira.t@example.com',
      mails: [5],
      skipped: ['Email “Kits” has no words yet.'],
    })
    open = mount(JourneyTestForm, {
      props: { begun: 2 },
      attachTo: page(),
      global: global({ ReaderChoice: true }),
    })
    await flushPromises()
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(doors.at('POST /api/journeys/2/tests')[0]!.body).toEqual({
      person: null,
      made: null,
      to: null,
    })
    expect(open.get('[role=status]').text()).toBe('1 mail to mira.t@example.com')
    expect(open.text()).toContain('Email “Kits” has no words yet.')
    doors.refuse('POST /api/journeys/2/tests', 'The stand-in mail server does not answer.')
    await open.get('form').trigger('submit')
    await flushPromises()
    expect(open.get('[role=alert]').text()).toBe('The stand-in mail server does not answer.')
    expect(open.find('[role=status]').exists()).toBe(false)
  })
})

describe('the inbox', () => {
  const mail = (id: number) => ({
    id,
    subject: id === 1 ? '' : `Mail ${id}`,
    sender: 'hello@example.com',
    address: 'mira.t@example.com',
    at: 1_800_000_000,
    bytes: 2048,
    millis: 12,
  })
  beforeEach(async () => {
    doors.answer('POST /api/inbox/pages', ({ body }: { body: { address: string } }) => ({
      items: body.address ? [mail(1)] : [mail(2), mail(1)],
      total: 2,
      next: null,
      server: '127.0.0.1:2525',
    }))
    for (const id of [1, 2]) {
      const parts = { html: '', plain: 'In words', headers: [], links: [], parts: [] }
      doors.answer(`GET /api/inbox/${id}`, { ...parts, line: mail(id) })
    }
    open = mount(InboxView, {
      attachTo: page(),
      global: global({ ProofSheet: true, JourneyTestForm: true, MailParts: true }),
    })
    await flushPromises()
  })

  it('says that nothing in it has left this machine, and names a mail without a subject', () => {
    expect(open.text()).toContain('nothing here has left this machine')
    expect(open.text()).toContain('127.0.0.1:2525')
    expect(open.get('[aria-label=Mails]').text()).toContain('no subject')
  })

  it('is emptied only as a whole, and at the second word', async () => {
    doors.answer('DELETE /api/inbox', undefined)
    await press('Empty the inbox…')
    expect(doors.at('DELETE /api/inbox')).toEqual([])
    await press('Empty it')
    expect(doors.at('DELETE /api/inbox')).toHaveLength(1)
    await open.get('[type=search]').setValue('mira.t@example.com')
    await new Promise((done) => setTimeout(done, 240))
    await flushPromises()
    expect(key('Empty the inbox…')).toBeUndefined()
  })
})
