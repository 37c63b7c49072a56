import { expect, it } from 'vitest'
import type { DryRunSummary, JourneyDocument } from '@/api/types'
import { isSamePlan, whoseRun } from './runWords'

const run = (change: Partial<DryRunSummary>) =>
  ({ people: 12_000, cohortName: null, seed: 7, lived: null, ...change }) as DryRunSummary

it('says whose run it is, and never gives a lot to people who really came', () => {
  expect(whoseRun(run({}))).toBe('12,000 people · lot 7')
  expect(whoseRun(run({ cohortName: 'Spring' }))).toBe('Spring · lot 7')
  expect(whoseRun(run({}), 'own cohort')).toBe('own cohort · lot 7')
  expect(whoseRun(run({ lived: 'What really happened.' }))).toBe('what really happened')
})

it('calls a journey that was only opened since the same plan', () => {
  const plan = (state: string, name = 'First frames') => ({ name, state }) as JourneyDocument
  expect(isSamePlan(plan('DRAFT'), plan('OPEN'))).toBe(true)
  expect(isSamePlan(plan('DRAFT'), plan('DRAFT', 'Last frames'))).toBe(false)
})
