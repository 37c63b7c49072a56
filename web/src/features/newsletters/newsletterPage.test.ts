import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { NewsletterDocument } from '@/api/types'
import { page, plugins } from '@/testing'
import NewsletterPage from './NewsletterPage.vue'
import { newsletterView } from './testNewsletter'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const SELF = '/api/newsletters/3'
const LOOK = 'POST /api/newsletters/looks'

/** Reads a list's name as the core would. */
const reading = ({ body }: { body: unknown }) => {
  const { text } = body as { text: string }
  const list = /^are on list (\w+)$/.exec(text)?.[1]
  const condition = list && { kind: 'onList', list }
  const meant =
    condition || text === '' ? { condition: condition || null, news: [], people: 1 } : null
  return { meant, unclear: null, completions: [] }
}

beforeEach(() => {
  doors.clear()
  sessionStorage.clear()
  doors.answer(`GET ${SELF}`, newsletterView())
  doors.answer('POST /api/people/readings', reading)
  doors.answer('GET /api/live', { clock: { now: 1_800_000_000, turning: false }, journeys: [] })
  doors.answer('GET /api/account', { senders: [] })
  doors.answer(LOOK, ({ body }: { body: unknown }) => {
    const { newsletter } = body as { newsletter: NewsletterDocument }
    const { who } = newsletter
    const whoSays = who?.kind === 'those' ? `are on list ${(who.who as { list: string }).list}` : ''
    const { review, findings, people, says } = newsletterView()
    return { review, findings, people, says, whoSays, butNotSays: '' }
  })
})

let open: VueWrapper
async function opened() {
  open = mount(NewsletterPage, {
    props: { id: 3 },
    attachTo: page(),
    global: { plugins: [...plugins()] as never[] },
  })
  await flushPromises()
  await settled()
}
async function settled() {
  await new Promise((done) => setTimeout(done, 200))
  await flushPromises()
}
afterEach(() => open.unmount())

const button = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await button(words).trigger('click')
  await flushPromises()
}
/** The field of those who get it, once it is there. */
const people = () => {
  const label = open.findAll('label').find((one) => one.text() === 'All who')!
  return open.get<HTMLInputElement>(`#${label.attributes('for')}`)
}
const name = () => open.get<HTMLInputElement>('#newsletter-name')

describe('a newsletter that is a draft', () => {
  it('is saved as it was changed, over the version that it was opened at', async () => {
    await opened()
    expect(open.text()).toContain('412 people get it.')
    await name().setValue('Summer at the hives')
    doors.answer(`PUT ${SELF}`, newsletterView({ version: 2 }, { name: 'Summer at the hives' }))
    doors.answer(`GET ${SELF}`, newsletterView({ version: 2 }, { name: 'Summer at the hives' }))
    await press('Save')
    expect(doors.at(`PUT ${SELF}`)[0]!.body).toEqual({
      newsletter: newsletterView({}, { name: 'Summer at the hives' }).newsletter,
      version: 1,
    })
    expect(open.get('[role=status]').text()).toBe('Saved')
  })

  it('says at its name that it cannot be called so, and above it whatever has no field', async () => {
    await opened()
    await name().setValue('')
    doors.refuse(`PUT ${SELF}`, 'Two things are wrong.', {
      '/newsletter/name': 'A newsletter has a name.',
      '/newsletter/overHours': 'At most over twelve hours.',
    })
    await press('Save')
    expect(open.get('#newsletter-name').element.parentElement!.textContent).toContain(
      'A newsletter has a name.',
    )
    expect(open.get('main > [role=alert]').text()).toBe('At most over twelve hours.')
    expect(name().element.value).toBe('')
  })

  it('is not saved over what somebody else has saved, but can be at the second word', async () => {
    await opened()
    await name().setValue('Mine')
    const theirs = newsletterView({ version: 5 }, { name: 'Theirs' })
    doors.tooLate(`PUT ${SELF}`, 'Somebody else has changed this newsletter.', theirs)
    doors.answer(`GET ${SELF}`, theirs)
    await press('Save')
    expect(open.get('[role=alert]').text()).toContain('Save again to put yours in its place')
    expect(name().element.value).toBe('Mine')
    doors.answer(`PUT ${SELF}`, newsletterView({ version: 6 }, { name: 'Mine' }))
    doors.answer(`GET ${SELF}`, newsletterView({ version: 6 }, { name: 'Mine' }))
    await press('Save')
    expect(doors.at(`PUT ${SELF}`).map((one) => (one.body as { version: number }).version)).toEqual(
      [1, 5],
    )
    expect(open.find('[role=alert]').exists()).toBe(false)
  })

  it('waits for whoever looks at another page and comes back, with the people it means', async () => {
    await opened()
    await open.get('[aria-label="To whom"]').setValue('those')
    await settled()
    expect(people().element.value).toBe('are on list Newsletter')
    await people().setValue('are on list Members')
    await settled()
    open.unmount()
    await opened()
    expect(open.get('[role=status]').text()).toBe('Not saved yet')
    expect(people().element.value).toBe('are on list Members')
    doors.answer(`PUT ${SELF}`, newsletterView({ version: 2 }))
    await press('Save')
    const { newsletter } = doors.at(`PUT ${SELF}`)[0]!.body as { newsletter: NewsletterDocument }
    expect(newsletter.who).toEqual({ kind: 'those', who: { kind: 'onList', list: 'Members' } })
  })

  it('is as it was once it is undone, also where its people are typed', async () => {
    const who: NewsletterDocument['who'] = { kind: 'those', who: { kind: 'onList', list: 'Old' } }
    doors.answer(`GET ${SELF}`, newsletterView({ whoSays: 'are on list Old' }, { who }))
    await opened()
    await people().setValue('are on list New')
    await settled()
    expect(open.get('[role=status]').text()).toBe('Not saved yet')
    await press('Undo')
    await settled()
    expect(people().element.value).toBe('are on list Old')
    expect(open.get('[role=status]').text()).toBe('Saved')
  })

  it('goes out to as many as were seen, and to no more', async () => {
    await opened()
    doors.answer(`PUT ${SELF}/plan`, newsletterView({ phase: 'GOING_OUT', version: 2 }))
    await press('Send it now')
    expect(doors.at(`PUT ${SELF}/plan`)).toEqual([])
    await press('Not yet')
    await press('Send it now')
    doors.answer(`GET ${SELF}`, newsletterView({ phase: 'GOING_OUT', version: 2 }))
    await press('Send')
    expect(doors.at(`PUT ${SELF}/plan`).map((one) => one.body)).toEqual([
      { version: 1, now: true, people: 412, evenSoMany: false },
    ])
    expect(button('Call back what has not gone yet').element.disabled).toBe(false)
    expect(open.find('#newsletter-name').exists()).toBe(false)
  })

  it('is not planned with changes that are not saved', async () => {
    await opened()
    await name().setValue('Another')
    await settled()
    expect(button('Plan it').element.disabled).toBe(true)
    expect(button('Send it now').element.disabled).toBe(true)
    expect(button('Make them').element.disabled).toBe(true)
    expect(open.text()).toContain('Save it first.')
  })

  it('is gone with its key, and the calendar is there', async () => {
    await opened()
    doors.answer(`DELETE ${SELF}`, undefined)
    await press('Put it away')
    expect(doors.at(`DELETE ${SELF}`)).toHaveLength(1)
    expect(open.vm.$router.currentRoute.value.name).toBe('calendar')
  })
})

describe('a newsletter that has gone', () => {
  const steps = [
    {
      step: 'main',
      name: 'The email',
      text: false,
      sent: 400,
      bounced: 2,
      opened: { share: 0.25, low: 0.21, high: 0.295 },
      clicked: null,
      unsubscribed: { share: 0.005, low: 0.001, high: 0.018 },
    },
    {
      step: 'text',
      name: 'The text',
      text: true,
      sent: 30,
      bounced: 0,
      opened: null,
      clicked: null,
      unsubscribed: null,
    },
  ]

  it('tells what came of it with bands, “none yet” where nobody could, and no opens of texts', async () => {
    doors.answer(`GET ${SELF}`, newsletterView({ phase: 'GONE', steps: steps as never }))
    await opened()
    const rows = open.get('[aria-label="What came of it"] table').findAll('tbody tr')
    const cells = (row: number) => rows[row]!.findAll('td').map((one) => one.text())
    expect(cells(0)).toEqual([
      'The email',
      '400',
      '2',
      expect.stringMatching(/25.0%\s*21.0% to 29.5%/),
      'none yet',
      expect.stringMatching(/0.5%\s*0.1% to 1.8%/),
    ])
    expect(cells(1).slice(3)).toEqual(['–', '–', '–'])
  })

  it('cannot be planned again, only copied or put away', async () => {
    doors.answer(`GET ${SELF}`, newsletterView({ phase: 'GONE' }))
    await opened()
    expect(open.text()).toContain('Nothing yet: it has not gone to anybody.')
    expect(button('Plan it')).toBeUndefined()
    expect(button('Send it now')).toBeUndefined()
    doors.answer(`POST ${SELF}/copies`, newsletterView({ id: 9 }))
    await press('Make a copy')
    expect(open.vm.$router.currentRoute.value.fullPath).toBe('/newsletters/9')
  })

  it('says why it could not be called back', async () => {
    doors.answer(`GET ${SELF}`, newsletterView({ phase: 'PLANNED' }))
    await opened()
    doors.refuse(`DELETE ${SELF}/plan`, 'It has begun to go out: call back what has not gone.')
    await press('Take it out of the plan')
    expect(open.get('[role=alert]').text()).toContain('It has begun to go out')
  })
})
