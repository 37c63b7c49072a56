import { flushPromises, mount, type VueWrapper } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { Doors } from '@/api/testDoors'
import type { AccountAsGiven, PressureView } from '@/api/types'
import { page, plugins } from '@/testing'
import AccountView from './AccountView.vue'

const doors = new Doors()
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, (request: Request) => doors.fetch(request))
})

const account = (change: Partial<AccountAsGiven> = {}): AccountAsGiven => ({
  version: 1,
  name: 'Ambercomb',
  postalAddress: '3 Meadow Lane',
  zone: 'Europe/Berlin',
  language: 'en-GB',
  currency: 'EUR',
  senders: [{ name: 'Mira of Ambercomb', address: 'hello@example.com', answersTo: null }],
  monthlyQuota: 50_000,
  quietHours: null,
  textSender: '',
  textStop: '',
  segmentPrice: null,
  emailsPerWeek: 4,
  ...change,
})
const seen = (change: Partial<AccountAsGiven> = {}) => ({
  account: account(change),
  example: '1 March 2027',
  missing: [],
  senders: ['hello@example.com'],
})
const pressure = (change: Partial<PressureView> = {}): PressureView => ({
  version: 1,
  emailsPerWeek: 4,
  then: 'WAIT',
  order: ['CART', 'WELCOME', 'DATE_BASED', 'NURTURE', 'NEWSLETTER', 'OTHER'],
  says: 'At most 4 a week.',
  ...change,
})

let open: VueWrapper
async function opened() {
  open = mount(AccountView, { attachTo: page(), global: { plugins: [...plugins()] as never[] } })
  await flushPromises()
}
beforeEach(async () => {
  doors.clear()
  sessionStorage.clear()
  doors.answer('GET /api/account', seen())
  doors.answer('GET /api/account/choices', {
    zones: ['Europe/Berlin', 'Europe/Oslo'],
    currencies: ['EUR', 'NOK'],
    languages: [
      { tag: 'en-GB', name: 'English', example: '1 March 2027' },
      { tag: 'nb-NO', name: 'Norwegian', example: '1. mars 2027' },
    ],
  })
  doors.answer('GET /api/pressure', pressure())
  await opened()
})
afterEach(() => open.unmount())

const main = () => open.get('form[aria-label=Account]')
const save = async () => {
  await main().trigger('submit')
  await flushPromises()
}
const key = (words: string) => open.findAll('button').find((one) => one.text() === words)!
const press = async (words: string) => {
  await key(words).trigger('click')
  await flushPromises()
}
const value = (id: string) => open.get<HTMLInputElement>(id).element.value
const sent = () => doors.at('PUT /api/account').map((one) => one.body as AccountAsGiven)

describe('the account', () => {
  it('is kept as it was changed; an emptied number is none, not nought', async () => {
    await open.get('#account-quota').setValue('')
    await open.get('#account-language').setValue('nb-NO')
    expect(open.text()).toContain('Such as 1. mars 2027.')
    doors.answer('PUT /api/account', seen({ monthlyQuota: null, language: 'nb-NO', version: 2 }))
    await save()
    expect(sent()).toEqual([account({ monthlyQuota: null, language: 'nb-NO' })])
    expect(open.get('[role=status]').text()).toBe('Saved')
  })

  it('keeps what is typed while it is being saved', async () => {
    await open.get('#account-name').setValue('Amber')
    doors.answer('PUT /api/account', seen({ name: 'Amber', version: 2 }))
    const go = doors.hold()
    const saving = save()
    await flushPromises()
    await open.get('#account-name').setValue('Ambercomb & Daughters')
    go()
    await saving
    await flushPromises()
    expect(value('#account-name')).toBe('Ambercomb & Daughters')
    expect(open.get('[role=status]').text()).toBe('Not saved yet')
    doors.answer('PUT /api/account', seen({ name: 'Ambercomb & Daughters', version: 3 }))
    await save()
    expect(sent().map((one) => one.version)).toEqual([1, 2])
  })

  it('says at each field what is wrong with it, also at one of a sender, and the rest above', async () => {
    await press('Add a sender')
    doors.refuse('PUT /api/account', 'Four things are wrong.', {
      '/zone': 'There is no such time zone.',
      '/senders/1/address': 'An address has an @.',
      '/quietHours/from': 'Quiet hours begin at a time.',
      '/emailsPerWeek': 'At least one email a week.',
    })
    await save()
    expect(open.get('#account-zone-note').text()).toBe('There is no such time zone.')
    const sender = open.get('#sender-1-address').element.parentElement!
    expect(sender.textContent).toContain('An address has an @.')
    expect(open.get('#sender-0-address').attributes('aria-invalid')).toBe('false')
    expect(main().text()).toContain('Quiet hours begin at a time.')
    expect(main().text()).toContain('At least one email a week.')
  })

  it('shows what somebody else has saved, and leaves the choice', async () => {
    await open.get('#account-name').setValue('Mine')
    doors.tooLate('PUT /api/account', 'Somebody else.', seen({ name: 'Theirs', version: 6 }))
    await save()
    expect(value('#account-name')).toBe('Mine')
    await press('Take theirs')
    expect(value('#account-name')).toBe('Theirs')
    expect(open.get('[role=status]').text()).toBe('Saved')
  })

  it('is found changed by whoever comes back to it', async () => {
    await open.get('#account-name').setValue('Mine')
    await flushPromises()
    open.unmount()
    await opened()
    expect(value('#account-name')).toBe('Mine')
    await press('Undo')
    expect(value('#account-name')).toBe('Ambercomb')
    open.unmount()
    await opened()
    expect(open.get('[role=status]').text()).toBe('Saved')
  })
})

describe('what is enough for one person', () => {
  const order = () =>
    open
      .get('#pressure')
      .findAll('li')
      .map((one) => one.text().replace(/[^A-Za-z-]/g, ''))

  it('holds only once that is said, in the order that was chosen', async () => {
    await open.get('[aria-label="Welcome sooner"]').trigger('click')
    expect(order().slice(0, 2)).toEqual(['Welcome', 'Cart'])
    expect(open.get('#pressure').text()).toContain('What stands above holds once you say so.')
    const now = pressure({
      version: 2,
      order: ['WELCOME', 'CART', 'DATE_BASED', 'NURTURE', 'NEWSLETTER', 'OTHER'],
    })
    doors.answer('PUT /api/pressure', now)
    doors.answer('GET /api/pressure', now)
    await open.get('#pressure').trigger('submit')
    await flushPromises()
    expect(doors.at('PUT /api/pressure')[0]!.body).toEqual({
      emailsPerWeek: 4,
      then: 'WAIT',
      order: now.order,
      version: 1,
    })
    expect(key('Let it hold').element.disabled).toBe(true)
  })

  it('is tried as it stands on the screen, and what came of it goes when it is changed', async () => {
    await open.get('#pressure-week').setValue(2)
    doors.answer('POST /api/pressure/trials', { says: ['Saves 120 emails.'], journeys: ['A', 'B'] })
    await press('What would it cost and save?')
    expect(doors.at('POST /api/pressure/trials')[0]!.body).toMatchObject({ emailsPerWeek: 2 })
    expect(open.text()).toContain('Saves 120 emails.')
    await open.get('#pressure-week').setValue(3)
    expect(open.text()).not.toContain('Saves 120 emails.')
  })

  it('says what cannot hold, and that somebody else was faster', async () => {
    await open.get('#pressure-week').setValue(0)
    doors.refuse('PUT /api/pressure', 'No.', { '/emailsPerWeek': 'At least one email a week.' })
    await open.get('#pressure').trigger('submit')
    await flushPromises()
    expect(open.get('#pressure [role=alert]').text()).toBe('At least one email a week.')
    expect(open.get('#pressure-week').attributes('aria-invalid')).toBe('true')
    doors.tooLate('PUT /api/pressure', 'Somebody else has set it.', pressure({ version: 8 }))
    await open.get('#pressure').trigger('submit')
    await flushPromises()
    expect(open.get('#pressure [role=alert]').text()).toContain('Save again to put yours')
    expect(value('#pressure-week')).toBe('0')
  })
})
