import { computed } from 'vue'
import type { FindingView, Row, StepMeasures } from '@/api/types'
import { useEstimate } from './useEstimate'
import { useFindings } from './useFindings'

const NONE: FindingView[] = []

/** What the estimate and the checks say about the rows of the run sheet. */
export function useRowFigures() {
  const { estimate } = useEstimate()
  const findings = useFindings()
  const measures = computed(() => new Map(estimate.value?.steps.map((step) => [step.id, step])))
  const arms = computed(
    () =>
      new Map(estimate.value?.steps.flatMap((step) => step.arms).map((arm) => [arm.id, arm.taken])),
  )
  const byStep = computed(() => {
    const found = new Map<string, FindingView[]>()
    for (const finding of findings.value) {
      if (!finding.step) continue
      found.set(finding.step, [...(found.get(finding.step) ?? []), finding])
    }
    return found
  })

  function reachOf(row: Row): number | null {
    if (row.kind !== 'ARM') return measures.value.get(row.id)?.reach.value ?? null
    const taken = arms.value.get(row.id)
    return taken && estimate.value?.entered ? taken.count / estimate.value.entered : null
  }

  function measuresOf(row: Row): StepMeasures | null {
    return measures.value.get(row.id) ?? null
  }

  function findingsOf(row: Row): FindingView[] {
    return byStep.value.get(row.id) ?? NONE
  }

  return { reachOf, measuresOf, findingsOf }
}
