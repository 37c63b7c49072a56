import type { ConditionDocument, JourneyDocument, MessageView, StepDocument } from '@/api/types'
import { allSteps, emailsBefore, findArm, findStep, freshId, START } from './edits'

/** The kinds of step that can be added, and what each begins as. */
export const STEP_KINDS = [
  { kind: 'send', name: 'Send' },
  { kind: 'wait', name: 'Wait' },
  { kind: 'branch', name: 'Branch' },
  { kind: 'change', name: 'Change' },
  { kind: 'finish', name: 'Finish' },
] as const

export type StepKind = (typeof STEP_KINDS)[number]['kind']

/**
 * A step to begin with, to be put behind another.
 *
 * @returns null if the step needs a message and there is none yet
 */
export function newStep(
  kind: StepKind,
  journey: JourneyDocument,
  after: string | null,
  messages: MessageView[],
): StepDocument | null {
  const id = freshId(journey, kind)
  switch (kind) {
    case 'send': {
      const used = new Set(JSON.stringify(journey.body).match(/"message":"[^"]*"/g) ?? [])
      const unused = messages.find((one) => !used.has(`"message":${JSON.stringify(one.id)}`))
      const message = unused ?? messages[0]
      return message ? { kind, id, message: message.id, subject: null } : null
    }
    case 'wait':
      return { kind, id, amount: { count: 1, unit: 'DAYS' }, until: null }
    case 'branch':
      return {
        kind,
        id,
        waitUpTo: { count: 1, unit: 'DAYS' },
        arms: [{ id: `${id}-a`, condition: firstQuestion(journey, after), steps: [] }],
        otherwise: { id: `${id}-else`, condition: null, steps: [] },
      }
    case 'change':
      return { kind, id, changes: [{ kind: 'addTag', tag: 'new tag' }] }
    case 'finish':
      return { kind, id }
  }
}

/** Asks about the nearest email before, or for a tag if there is none. */
export function firstQuestion(journey: JourneyDocument, after: string | null): ConditionDocument {
  const email = nearestEmail(journey, after)
  return email ? { kind: 'opened', email, peopleOnly: false } : { kind: 'hasTag', tag: 'new tag' }
}

function nearestEmail(journey: JourneyDocument, after: string | null): string | undefined {
  if (after === START) return undefined
  if (after === null) {
    return allSteps(journey.body).findLast((step) => step.kind === 'send')?.id
  }
  const anchor = findArm(journey, after)?.branch.id ?? after
  return findStep(journey, anchor)?.kind === 'send' ? anchor : emailsBefore(journey, anchor).at(-1)
}
