import { storeToRefs } from 'pinia'
import { computed } from 'vue'
import type { FindingView } from '@/api/types'
import { useJourneyStore } from './journeyStore'
import { useEstimate } from './useEstimate'

/** What the checks find, and what the estimate shows that they cannot know. */
export function useFindings() {
  const { view } = storeToRefs(useJourneyStore())
  const { nobody } = useEstimate()
  return computed<FindingView[]>(() => {
    const found = view.value?.findings ?? []
    const more = nobody.value.filter((place) => !found.some((one) => one.step === place.step))
    return [...found, ...more.map(asFinding)]
  })
}

function asFinding(place: { step: string; sentence: string }): FindingView {
  return { code: 'nobody-there', severity: 'WARNING', ...place, fix: null }
}
