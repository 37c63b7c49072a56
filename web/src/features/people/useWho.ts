import { answerOf, api } from '@/api/client'
import { useReadWhileTyped } from '@/ui/useTypedLine'

const PAUSE_MILLIS = 120

/** How the server understands a sentence about people. */
export function readWho(text: string, caret: number) {
  return answerOf(api.POST('/api/people/readings', { body: { text, caret } }))
}

/** Lets the server read a sentence about people while it is typed. */
export function useWho(begun: string) {
  return useReadWhileTyped(begun, readWho, PAUSE_MILLIS)
}
