import { answerOf, api } from '@/api/client'

/** How the server understands a typed rule. */
export function readRule(text: string, caret: number) {
  return answerOf(api.POST('/api/rules/readings', { body: { text, caret } }))
}
