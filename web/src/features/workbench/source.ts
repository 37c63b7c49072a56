import { replaceEqualDeep } from '@tanstack/vue-query'
import { answerOf, api } from '@/api/client'
import { queryClient, questions } from '@/api/queries'
import type { JourneyDocument, JourneyView } from '@/api/types'

/** Where what is edited comes from and is kept: a journey, or a strand, which stands for one. */
export interface Source {
  /** What its edits are kept under in this tab. */
  key: string
  /** Whether it is a run of steps only, that several journeys share. */
  ofStrand: boolean
  load: () => Promise<JourneyView>
  save: (from: JourneyView, document: JourneyDocument) => Promise<JourneyView>
}

export function journeySource(id: number, author: () => string): Source {
  const path = { params: { path: { id } } }
  return {
    key: String(id),
    ofStrand: false,
    load: () => answerOf(api.GET('/api/journeys/{id}', path)),
    save: async (from, journey) => {
      const view = await answerOf(
        api.PUT('/api/journeys/{id}', {
          ...path,
          body: { version: from.version, journey, by: author() || null },
        }),
      )
      // It came along with the answer, so nobody has to ask for it.
      if (view.estimate) {
        const asked = (of: JourneyView) =>
          questions.estimate(id, of.version, of.behaviourVersion).queryKey
        const before = queryClient.getQueryData(asked(from))
        queryClient.setQueryData(asked(view), replaceEqualDeep(before, view.estimate))
      }
      return view
    },
  }
}
