import { describe, expect, it } from 'vitest'
import type { MessageView, StepDocument } from '@/api/types'
import { START } from './edits'
import { email, firstQuestion, newStep } from './newSteps'
import { testJourney as journey } from './testJourney'

const send = (id: string, message = 'm1'): StepDocument => email(id, message)
const wait: StepDocument = {
  kind: 'wait',
  id: 'w',
  rule: { kind: 'for', amount: { count: 1, unit: 'DAYS' }, thenUntil: null },
}
const message = (id: string): MessageView => ({
  id,
  name: id,
  content: { kind: 'email', subject: id },
  links: [],
  voucher: false,
  labels: [],
  archived: false,
  version: 1,
})
const names = (...messages: MessageView[]) => ({ messages, strands: [], journeys: [] })

describe('a new step', () => {
  it('sends a message that the journey does not send yet', () => {
    const step = newStep('sendEmail', journey(send('a')), 'a', names(message('m1'), message('m2')))
    expect(step).toMatchObject({ kind: 'sendEmail', message: 'm2' })
  })

  it('sends a message again when all are in use, and none when there is none', () => {
    expect(newStep('sendEmail', journey(send('a')), 'a', names(message('m1')))).toMatchObject({
      message: 'm1',
    })
    expect(newStep('sendEmail', journey(), null, names())).toBeNull()
  })

  it('has an id of its own', () => {
    expect(newStep('wait', journey({ ...wait, id: 'wait-1' }), null, names())?.id).toBe('wait-2')
  })

  it('branches with a day to answer and an arm for everyone else', () => {
    const step = newStep('branch', journey(send('a')), 'a', names())
    expect(step).toMatchObject({
      waitUpTo: { count: 1, unit: 'DAYS' },
      arms: [{ condition: { kind: 'opened', email: { kind: 'ofStep', step: 'a' } } }],
      otherwise: { steps: [] },
    })
  })
})

describe('the first question of a branch', () => {
  it('is about the nearest email before', () => {
    const sheet = journey(send('a'), wait, send('b'))
    expect(firstQuestion(sheet, 'a')).toMatchObject({
      kind: 'opened',
      email: { kind: 'ofStep', step: 'a' },
    })
    expect(firstQuestion(sheet, 'w')).toMatchObject({
      kind: 'opened',
      email: { kind: 'ofStep', step: 'a' },
    })
    expect(firstQuestion(sheet, null)).toMatchObject({
      kind: 'opened',
      email: { kind: 'ofStep', step: 'b' },
    })
  })

  it('is about a tag where no email can have been sent', () => {
    expect(firstQuestion(journey(send('a')), START)).toMatchObject({ kind: 'hasTag' })
    expect(firstQuestion(journey(), null)).toMatchObject({ kind: 'hasTag' })
    expect(firstQuestion(journey(wait, send('a')), 'w')).toMatchObject({ kind: 'hasTag' })
  })
})
