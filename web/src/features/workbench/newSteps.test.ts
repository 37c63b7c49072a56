import { describe, expect, it } from 'vitest'
import type { JourneyDocument, MessageView, StepDocument } from '@/api/types'
import { START } from './edits'
import { firstQuestion, newStep } from './newSteps'

const send = (id: string, message = 'm1'): StepDocument => ({
  kind: 'send',
  id,
  message,
  subject: null,
})
const wait: StepDocument = {
  kind: 'wait',
  id: 'w',
  amount: { count: 1, unit: 'DAYS' },
  until: null,
}
const message = (id: string): MessageView => ({ id, name: id, subject: id, links: [], version: 1 })
const journey = (...body: StepDocument[]): JourneyDocument => ({
  name: 'A test',
  purpose: 'WELCOME',
  state: 'DRAFT',
  triggers: [],
  entryFilter: null,
  reEntry: 'NEVER',
  goal: null,
  body,
})

describe('a new step', () => {
  it('sends a message that the journey does not send yet', () => {
    const step = newStep('send', journey(send('a')), 'a', [message('m1'), message('m2')])
    expect(step).toMatchObject({ kind: 'send', message: 'm2' })
  })

  it('sends a message again when all are in use, and none when there is none', () => {
    expect(newStep('send', journey(send('a')), 'a', [message('m1')])).toMatchObject({
      message: 'm1',
    })
    expect(newStep('send', journey(), null, [])).toBeNull()
  })

  it('has an id of its own', () => {
    expect(newStep('wait', journey({ ...wait, id: 'wait-1' }), null, [])?.id).toBe('wait-2')
  })

  it('branches with a day to answer and an arm for everyone else', () => {
    const step = newStep('branch', journey(send('a')), 'a', [])
    expect(step).toMatchObject({
      waitUpTo: { count: 1, unit: 'DAYS' },
      arms: [{ condition: { kind: 'opened', email: 'a' } }],
      otherwise: { condition: null, steps: [] },
    })
  })
})

describe('the first question of a branch', () => {
  it('is about the nearest email before', () => {
    const sheet = journey(send('a'), wait, send('b'))
    expect(firstQuestion(sheet, 'a')).toMatchObject({ kind: 'opened', email: 'a' })
    expect(firstQuestion(sheet, 'w')).toMatchObject({ kind: 'opened', email: 'a' })
    expect(firstQuestion(sheet, null)).toMatchObject({ kind: 'opened', email: 'b' })
  })

  it('is about a tag where no email can have been sent', () => {
    expect(firstQuestion(journey(send('a')), START)).toMatchObject({ kind: 'hasTag' })
    expect(firstQuestion(journey(), null)).toMatchObject({ kind: 'hasTag' })
    expect(firstQuestion(journey(wait, send('a')), 'w')).toMatchObject({ kind: 'hasTag' })
  })
})
