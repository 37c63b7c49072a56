import { reactive, type Ref } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { BehaviourDocument, JourneyView } from '@/api/types'
import { useHistory } from '@/editing/useHistory'

/**
 * What is assumed of a journey's people: a change shows at once and is saved, one save after
 * another; it can be undone and done again, after a reload too.
 */
export function useAssumptions(journey: Ref<JourneyView | null>, failure: Ref<string | null>) {
  const history = useHistory<BehaviourDocument>()
  const key = () => `open-trellis.assumptions.${journey.value?.id}`
  let saving: Promise<void> = Promise.resolve()

  function show(behaviour: BehaviourDocument) {
    const before = journey.value
    if (!before) return
    journey.value = { ...before, behaviour }
    saving = saving.then(async () => {
      if (!journey.value) return
      failure.value = null
      try {
        const saved = await answerOf(
          api.PUT('/api/journeys/{id}/behaviour', {
            params: { path: { id: before.id } },
            body: { version: journey.value.behaviourVersion, behaviour },
          }),
        )
        const newest =
          journey.value.behaviour === behaviour ? saved.behaviour : journey.value.behaviour
        journey.value = { ...saved, behaviour: newest }
        history.keep(key())
      } catch (reason) {
        failure.value = reasonOf(reason)
        journey.value = { ...before }
        history.forget()
      }
    })
  }

  function change(behaviour: BehaviourDocument) {
    if (journey.value) history.add('a change of assumptions', journey.value.behaviour, behaviour)
    show(behaviour)
  }

  /** What can be undone in this tab, if nobody has changed the assumptions since. */
  function recall() {
    history.forget()
    const now = JSON.stringify(journey.value?.behaviour)
    history.recall(key(), (state) => JSON.stringify(state) === now)
  }

  function back(to: BehaviourDocument | null) {
    if (to) show(to)
  }

  const { canUndo, canRedo, undoName, redoName } = history
  const edits = reactive({
    canUndo,
    canRedo,
    undoName,
    redoName,
    undo: () => back(history.undo()),
    redo: () => back(history.redo()),
  })
  return { change, recall, edits, saved: () => saving }
}
