import { computed, type ComputedRef } from 'vue'
import { useJourneyStore } from '../journeyStore'
import type { Known } from './shapes'

/** What new parts begin with: the nearest email, the first message, a name that is in use. */
export function useKnown(emails: () => string[]): ComputedRef<Known> {
  const store = useJourneyStore()
  return computed(() => {
    const known: Known = {
      StepId: emails().at(-1) ?? store.stepIds.at(-1) ?? '',
      MessageId: store.messages[0]?.id,
      StrandId: store.strands[0]?.id,
      SegmentName: store.segments[0]?.name,
      LinkName: store.knownNames('LinkName')[0],
    }
    return known
  })
}
