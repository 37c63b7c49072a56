import type {
  BranchStep,
  ConditionDocument,
  JourneyDocument,
  JourneyView,
  SplitStep,
  StepDocument,
} from '@/api/types'

/** Pure edits of a journey's document: each returns a new one and leaves the old as it was. */

/** A step that parts people: by a question or by lot. */
export type Fork = BranchStep | SplitStep

/** A way through a fork, whichever it is. */
export interface Way {
  id: string
  steps: StepDocument[]
}

/** Where a sequence of steps stands: the body, or inside an arm. */
export interface Place {
  steps: StepDocument[]
  index: number
  /** The fork and arm around it; null in the body. */
  branch: Fork | null
  arm: Way | null
}

export function isFork(step: StepDocument): step is Fork {
  return step.kind === 'branch' || step.kind === 'splitTest'
}

/** The ways through a step, in order; none unless it parts people. */
export function armsOf(step: StepDocument): Way[] {
  if (step.kind === 'branch') return [...step.arms, step.otherwise]
  return step.kind === 'splitTest' ? step.arms : []
}

/** All steps in the order of the run sheet. */
export function allSteps(steps: StepDocument[]): StepDocument[] {
  return steps.flatMap((step) => [step, ...armsOf(step).flatMap((arm) => allSteps(arm.steps))])
}

/** A journey with the steps of its strands in place. */
export function wholeOf(view: JourneyView): JourneyDocument {
  return view.expanded ?? view.journey
}

export function findStep(journey: JourneyDocument, id: string): StepDocument | null {
  return allSteps(journey.body).find((step) => step.id === id) ?? null
}

export function findArm(journey: JourneyDocument, id: string): { branch: Fork; arm: Way } | null {
  for (const step of allSteps(journey.body)) {
    if (!isFork(step)) continue
    const arm = armsOf(step).find((one) => one.id === id)
    if (arm) return { branch: step, arm }
  }
  return null
}

/** Where a step stands, or null if it is not there. */
export function placeOf(journey: JourneyDocument, id: string): Place | null {
  return placeIn(journey.body, id, null, null)
}

function placeIn(
  steps: StepDocument[],
  id: string,
  branch: Fork | null,
  arm: Way | null,
): Place | null {
  const index = steps.findIndex((step) => step.id === id)
  if (index >= 0) return { steps, index, branch, arm }
  for (const step of steps) {
    if (!isFork(step)) continue
    for (const inner of armsOf(step)) {
      const found = placeIn(inner.steps, id, step, inner)
      if (found) return found
    }
  }
  return null
}

export function replaceStep(
  journey: JourneyDocument,
  id: string,
  change: (step: StepDocument) => StepDocument,
): JourneyDocument {
  return onSequence(journey, id, (steps) =>
    steps.map((step) => (step.id === id ? change(step) : step)),
  )
}

/** Stands for the journey's own line above all steps. */
export const START = 'journey'

/** The row that a new step must come below to stand right above another; null for an arm. */
export function placeAbove(journey: JourneyDocument, id: string): string | null {
  const place = placeOf(journey, id)
  if (!place) return null
  return place.steps[place.index - 1]?.id ?? place.arm?.id ?? START
}

/** Puts a step behind a step or the start, at the start of an arm, or at the end of the body. */
export function insertAfter(
  journey: JourneyDocument,
  after: string | null,
  step: StepDocument,
): JourneyDocument {
  if (after === null) return { ...journey, body: [...journey.body, step] }
  if (after === START) return { ...journey, body: [step, ...journey.body] }
  if (findArm(journey, after)) {
    return onArms(journey, (arm) =>
      arm.id === after ? { ...arm, steps: [step, ...arm.steps] } : arm,
    )
  }
  return onSequence(journey, after, (steps) =>
    steps.flatMap((one) => (one.id === after ? [one, step] : [one])),
  )
}

/**
 * Takes out one step; what follows closes up. Of a branch the steps of its first arm stay where the
 * branch was.
 */
export function removeOnly(journey: JourneyDocument, id: string): JourneyDocument {
  return onSequence(journey, id, (steps) =>
    steps.flatMap((step) => {
      if (step.id !== id) return [step]
      return armsOf(step)[0]?.steps ?? []
    }),
  )
}

/** Takes out a step, all inside it and all behind it in its branch. */
export function removeWithRest(journey: JourneyDocument, id: string): JourneyDocument {
  return onSequence(journey, id, (steps) =>
    steps.slice(
      0,
      steps.findIndex((step) => step.id === id),
    ),
  )
}

/** What removing a step would take with it. */
export interface Removal {
  inside: number
  after: number
  /** Steps that go when only the branch goes: those of all arms but the first. */
  lostWithBranch: number
}

export function removalOf(journey: JourneyDocument, id: string): Removal | null {
  const place = placeOf(journey, id)
  if (!place) return null
  const step = place.steps[place.index]!
  const inside = allSteps([step]).length - 1
  const kept = allSteps(armsOf(step)[0]?.steps ?? []).length
  return {
    inside,
    after: allSteps(place.steps.slice(place.index + 1)).length,
    lostWithBranch: inside - kept,
  }
}

/** An id that no step or arm has yet: short, and it says what the step does. */
export function freshId(journey: JourneyDocument, kind: string): string {
  const taken = new Set(
    allSteps(journey.body).flatMap((step) => [
      step.id,
      ...armsOf(step).map((arm) => arm.id),
      ...(step.kind === 'sendEmail' ? step.variants.map((variant) => variant.id) : []),
    ]),
  )
  for (let n = 1; ; n++) if (!taken.has(`${kind}-${n}`)) return `${kind}-${n}`
}

/** The emails and texts that can have been sent where a step stands, the nearest last. */
export function emailsBefore(journey: JourneyDocument, id: string): string[] {
  const found: string[] = []
  visit(journey.body, [], (step, before) => {
    if (step.id === id) found.push(...before)
  })
  return found
}

function visit(
  steps: StepDocument[],
  before: string[],
  see: (step: StepDocument, before: string[]) => void,
): string[] {
  let sent = before
  for (const step of steps) {
    see(step, sent)
    if (step.kind === 'sendEmail' || step.kind === 'sendText') sent = [...sent, step.id]
    if (isFork(step)) {
      const after = armsOf(step).map((arm) => visit(arm.steps, sent, see))
      sent = [...new Set([...sent, ...after.flat()])]
    }
  }
  return sent
}

/** The simple conditions inside one, itself if it is simple. */
export function partsOf(condition: ConditionDocument): ConditionDocument[] {
  return 'parts' in condition ? condition.parts : [condition]
}

/** Changes the sequence that a step stands in. */
function onSequence(
  journey: JourneyDocument,
  id: string,
  change: (steps: StepDocument[]) => StepDocument[],
): JourneyDocument {
  const apply = (steps: StepDocument[]): StepDocument[] =>
    steps.some((step) => step.id === id)
      ? change(steps)
      : steps.map((step) => withArms(step, (arm) => ({ ...arm, steps: apply(arm.steps) })))
  return { ...journey, body: apply(journey.body) }
}

function onArms(journey: JourneyDocument, change: (arm: Way) => Way): JourneyDocument {
  const apply = (steps: StepDocument[]): StepDocument[] =>
    steps.map((step) =>
      withArms(step, (arm) => {
        const changed = change(arm)
        return { ...changed, steps: apply(changed.steps) }
      }),
    )
  return { ...journey, body: apply(journey.body) }
}

function withArms(step: StepDocument, change: (arm: Way) => Way): StepDocument {
  if (!isFork(step)) return step
  const steps = (way: Way) => change(way).steps
  if (step.kind === 'splitTest') {
    return { ...step, arms: step.arms.map((arm) => ({ ...arm, steps: steps(arm) })) }
  }
  return {
    ...step,
    arms: step.arms.map((arm) => ({ ...arm, steps: steps(arm) })),
    otherwise: { ...step.otherwise, steps: steps(step.otherwise) },
  }
}
