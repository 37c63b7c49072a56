import type { ConditionDocument, JourneyDocument, MessageView, StepDocument } from '@/api/types'
import { namesIn, part } from './editors/shapes'
import { allSteps, emailsBefore, findArm, findStep, freshId, START } from './edits'

/** The kinds of step that can be added: their names, how their ids begin, and what they do. */
export const STEP_KINDS = [
  { kind: 'sendEmail', name: 'Send', id: 'send', does: 'an email' },
  { kind: 'wait', name: 'Wait', id: 'wait', does: 'for a time or until something' },
  {
    kind: 'branch',
    name: 'Branch',
    id: 'branch',
    does: 'ask something: those for whom it is so go one way',
  },
  { kind: 'change', name: 'Change', id: 'change', does: 'tags, lists and fields' },
  { kind: 'finish', name: 'Finish', id: 'finish', does: 'the journey ends here' },
  { kind: 'sendText', name: 'Text', id: 'text', does: 'a text message' },
  {
    kind: 'splitTest',
    name: 'Split test',
    id: 'split',
    does: 'send shares of them different ways, by chance',
  },
  { kind: 'include', name: 'Strand', id: 'strand', does: 'a run of steps that journeys share' },
  { kind: 'handOver', name: 'Hand over', id: 'hand-over', does: 'into another journey' },
  { kind: 'notify', name: 'Notify', id: 'notify', does: 'a teammate or a web address' },
] as const

export type MessageKind = MessageView['content']['kind']

/** A message's content with its first words in it. */
export function contentOf(kind: MessageKind, words: string): MessageView['content'] {
  return kind === 'text' ? { kind, words } : { kind, subject: words }
}

export type StepKind = (typeof STEP_KINDS)[number]['kind']

/** What a new step may refer to. */
export interface Names {
  messages: MessageView[]
  strands: string[]
  journeys: string[]
}

/**
 * A step to begin with, to be put behind another.
 *
 * @returns null if the step needs a message and there is none yet
 */
export function newStep(
  kind: StepKind,
  journey: JourneyDocument,
  after: string | null,
  names: Names,
): StepDocument | null {
  const id = freshId(journey, STEP_KINDS.find((one) => one.kind === kind)!.id)
  switch (kind) {
    case 'sendEmail': {
      const message = unusedMessage('email', journey, names.messages)
      return message ? email(id, message) : null
    }
    case 'sendText': {
      const message = unusedMessage('text', journey, names.messages)
      return message
        ? { kind, id, message, onlyIf: null, oncePerPerson: false, window: null }
        : null
    }
    case 'wait':
      return { kind, id, rule: { kind: 'for', amount: aDay(), thenUntil: null } }
    case 'branch':
      return {
        kind,
        id,
        waitUpTo: aDay(),
        arms: [{ id: `${id}-a`, condition: firstQuestion(journey, after), steps: [] }],
        otherwise: { id: `${id}-else`, steps: [] },
      }
    case 'splitTest':
      return {
        kind,
        id,
        arms: ['a', 'b'].map((arm) => ({ id: `${id}-${arm}`, percent: 50, steps: [] })),
      }
    case 'change':
      return { kind, id, changes: [{ kind: 'addTag', tag: 'new tag' }] }
    case 'include':
      return { kind, id, strand: names.strands[0] ?? 'new-strand' }
    case 'handOver':
      return { kind, id, journey: names.journeys[0] ?? 'Another journey', thenFinish: true }
    case 'notify':
      return { kind, id, notice: { kind: 'teammate', to: 'The team', text: 'Have a look' } }
    case 'finish':
      return { kind, id }
  }
}

function aDay() {
  return { count: 1, unit: 'DAYS' as const }
}

/** A plain email: to everybody, with its opens tracked. */
export function email(id: string, message: string): StepDocument {
  return {
    kind: 'sendEmail',
    id,
    message,
    subject: null,
    preview: null,
    sender: null,
    variants: [],
    onlyIf: null,
    oncePerPerson: false,
    untracked: false,
    linkParameters: false,
    window: null,
  }
}

function unusedMessage(
  kind: MessageKind,
  journey: JourneyDocument,
  messages: MessageView[],
): string | null {
  const used = namesIn(part('Journey'), journey, 'MessageId')
  const right = messages.filter((one) => one.content.kind === kind)
  const unused = right.find((one) => !used.includes(one.id))
  return (unused ?? right[0])?.id ?? null
}

/** Asks about the nearest email before, or for a tag if there is none. */
export function firstQuestion(journey: JourneyDocument, after: string | null): ConditionDocument {
  const step = nearestEmail(journey, after)
  return step
    ? { kind: 'opened', email: { kind: 'ofStep', step }, peopleOnly: false, within: null }
    : { kind: 'hasTag', tag: 'new tag' }
}

function nearestEmail(journey: JourneyDocument, after: string | null): string | undefined {
  if (after === START) return undefined
  if (after === null) {
    return allSteps(journey.body).findLast((step) => step.kind === 'sendEmail')?.id
  }
  const anchor = findArm(journey, after)?.branch.id ?? after
  return findStep(journey, anchor)?.kind === 'sendEmail'
    ? anchor
    : emailsBefore(journey, anchor).at(-1)
}
