import { computed } from 'vue'
import type { FindingView, Row, StepMeasures } from '@/api/types'
import { useEstimate } from './useEstimate'
import { useFindings } from './useFindings'

/** What the estimate and the checks say about the rows of the run sheet. */
export function useRowFigures() {
  const { estimate } = useEstimate()
  const findings = useFindings()
  const measures = computed(() => new Map(estimate.value?.steps.map((step) => [step.id, step])))
  const arms = computed(
    () =>
      new Map(estimate.value?.steps.flatMap((step) => step.arms).map((arm) => [arm.id, arm.taken])),
  )

  function reachOf(row: Row): number | null {
    if (row.kind !== 'ARM') return measures.value.get(row.id)?.reach.value ?? null
    const taken = arms.value.get(row.id)
    return taken && estimate.value?.entered ? taken.count / estimate.value.entered : null
  }

  function measuresOf(row: Row): StepMeasures | null {
    return measures.value.get(row.id) ?? null
  }

  function findingsOf(row: Row): FindingView[] {
    return findings.value.filter((finding) => finding.step === row.id)
  }

  return { reachOf, measuresOf, findingsOf }
}
