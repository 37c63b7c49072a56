import { answerOf, api } from '@/api/client'
import { useReadWhileTyped } from '@/ui/useTypedLine'

const PAUSE_MILLIS = 120

/** Lets the server read a sentence about people while it is typed. */
export function useWho(begun: string) {
  return useReadWhileTyped(
    begun,
    (text, caret) => answerOf(api.POST('/api/people/readings', { body: { text, caret } })),
    PAUSE_MILLIS,
  )
}
