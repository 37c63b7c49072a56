import { computed, type ComputedRef } from 'vue'
import { useJourneyStore } from '../journeyStore'
import { useLibrary } from '../useLibrary'
import type { Known } from './shapes'

/** What new parts begin with: the nearest email, the first message, a name that is in use. */
export function useKnown(emails: () => string[]): ComputedRef<Known> {
  const store = useJourneyStore()
  const { messages, strands, segments, knownNames } = useLibrary()
  return computed(() => {
    const known: Known = {
      StepId: emails().at(-1) ?? store.stepIds.at(-1) ?? '',
      MessageId: messages.value[0]?.id,
      StrandId: strands.value[0]?.id,
      SegmentName: segments.value[0]?.name,
      LinkName: knownNames('LinkName')[0],
    }
    return known
  })
}
