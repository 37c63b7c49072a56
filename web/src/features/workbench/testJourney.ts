import type { JourneyDocument, StepDocument } from '@/api/types'

/** A journey for tests: nothing set but its body. */
export const testJourney = (...body: StepDocument[]): JourneyDocument => ({
  name: 'A test',
  purpose: 'WELCOME',
  state: 'DRAFT',
  triggers: [],
  entryFilter: null,
  reEntry: { kind: 'never' },
  leaveWhen: [],
  goal: null,
  secondaryGoals: [],
  sendWindow: null,
  zone: null,
  frequencyGuard: null,
  sender: null,
  body,
})
