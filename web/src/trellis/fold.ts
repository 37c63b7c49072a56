import type { StepDocument } from '@/api/types'

/** The steps to draw when some branches are folded: these keep their arms, with nothing in them. */
export function folded(steps: StepDocument[], branches: ReadonlySet<string>): StepDocument[] {
  return steps.map((step) => {
    const inside = (arm: { steps: StepDocument[] }) =>
      branches.has(step.id) ? [] : folded(arm.steps, branches)
    if (step.kind === 'branch') {
      return {
        ...step,
        arms: step.arms.map((arm) => ({ ...arm, steps: inside(arm) })),
        otherwise: { ...step.otherwise, steps: inside(step.otherwise) },
      }
    }
    return step.kind === 'splitTest'
      ? { ...step, arms: step.arms.map((arm) => ({ ...arm, steps: inside(arm) })) }
      : step
  })
}
