import { describe, expect, it } from 'vitest'
import type { BranchStep, StepDocument } from '@/api/types'
import {
  armsOf,
  emailsBefore,
  freshId,
  insertAfter,
  placeAbove,
  removalOf,
  removeOnly,
  removeWithRest,
  START,
} from './edits'
import { email } from './newSteps'
import { testJourney as journey } from './testJourney'

const send = (id: string): StepDocument => email(id, 'm')
const branch = (id: string, then: StepDocument[], otherwise: StepDocument[]): BranchStep => ({
  kind: 'branch',
  id,
  waitUpTo: null,
  arms: [{ id: `${id}-a`, condition: { kind: 'hasTag', tag: 't' }, steps: then }],
  otherwise: { id: `${id}-else`, steps: otherwise },
})

/** The journey as a line: a branch shows its arms in brackets. */
function line(steps: StepDocument[]): string {
  return steps
    .map((step) =>
      step.kind === 'branch'
        ? `${step.id}[${armsOf(step)
            .map((arm) => line(arm.steps))
            .join('|')}]`
        : step.id,
    )
    .join(' ')
}

const sample = () => journey(send('a'), branch('b', [send('c')], [send('d'), send('e')]), send('f'))

describe('adding', () => {
  it('puts a step behind a step, at the start of an arm, or at the end', () => {
    expect(line(insertAfter(sample(), 'd', send('x')).body)).toBe('a b[c|d x e] f')
    expect(line(insertAfter(sample(), 'b', send('x')).body)).toBe('a b[c|d e] x f')
    expect(line(insertAfter(sample(), 'b-else', send('x')).body)).toBe('a b[c|x d e] f')
    expect(line(insertAfter(sample(), null, send('x')).body)).toBe('a b[c|d e] f x')
    expect(line(insertAfter(sample(), START, send('x')).body)).toBe('x a b[c|d e] f')
  })

  it('finds an id that is free', () => {
    expect(freshId(journey(send('send-1')), 'send')).toBe('send-2')
  })
})

describe('removing', () => {
  it('takes only the step, and what follows closes up', () => {
    expect(line(removeOnly(sample(), 'd').body)).toBe('a b[c|e] f')
  })

  it('keeps the first arm when only the branch goes', () => {
    expect(line(removeOnly(sample(), 'b').body)).toBe('a c f')
    expect(removalOf(sample(), 'b')).toEqual({ inside: 3, after: 1, lostWithBranch: 2 })
  })

  it('takes the step and all behind it in its branch', () => {
    expect(line(removeWithRest(sample(), 'd').body)).toBe('a b[c|] f')
    expect(line(removeWithRest(sample(), 'b').body)).toBe('a')
  })

  it('has nothing to ask about a step with nothing behind it', () => {
    expect(removalOf(sample(), 'f')).toEqual({ inside: 0, after: 0, lostWithBranch: 0 })
  })
})

describe('the place above a step', () => {
  it('is the step before it, its arm, or the start', () => {
    expect(placeAbove(sample(), 'b')).toBe('a')
    expect(placeAbove(sample(), 'e')).toBe('d')
    expect(placeAbove(sample(), 'd')).toBe('b-else')
    expect(placeAbove(sample(), 'a')).toBe(START)
    expect(placeAbove(sample(), 'b-else')).toBeNull()
  })
})

describe('the emails before a step', () => {
  it('are those of its path, and of all arms behind a branch', () => {
    expect(emailsBefore(sample(), 'a')).toEqual([])
    expect(emailsBefore(sample(), 'e')).toEqual(['a', 'd'])
    expect(emailsBefore(sample(), 'f')).toEqual(['a', 'c', 'd', 'e'])
  })
})
