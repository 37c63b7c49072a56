import { ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf, Refused } from '@/api/client'
import { outdated } from '@/api/queries'
import type {
  JourneyDocument,
  JourneyView,
  StrandDocument,
  StrandLook,
  StrandView,
} from '@/api/types'
import type { Source } from '@/features/workbench/source'

/** What is not saved of a strand is kept in this tab, with the version that it began from. */
interface Draft {
  version: number
  document: StrandDocument
}

const STEPS_ONLY =
  'A strand is a run of steps: triggers, goals and rules belong to the journeys that go through it.'

/**
 * A strand that is edited like a journey. Edits stay in this tab until they are saved, since they
 * change every journey that goes through it.
 */
export function useStrand(id: string) {
  const kept = shallowRef<StrandView | null>(null)
  const look = shallowRef<StrandLook | null>(null)
  /** Why it could not be saved. */
  const refusal = ref<string | null>(null)
  /** Whether somebody else has saved it since. */
  const lost = ref(false)
  const key = `open-trellis.strand.${id}`
  let document: StrandDocument | null = null

  async function read(): Promise<StrandView> {
    const all = await answerOf(api.GET('/api/strands'))
    const found = all.find((one) => one.document.id === id)
    if (!found) {
      throw new Refused({ status: 404, code: 'not-found', detail: `There is no strand “${id}”.` })
    }
    return found
  }

  async function lookAt(some: StrandDocument): Promise<void> {
    look.value = await answerOf(
      api.POST('/api/strands/{id}/looks', {
        params: { path: { id } },
        body: { document: some },
      }),
    )
    document = some
  }

  function draft(): Draft | null {
    const text = sessionStorage.getItem(key)
    return text ? (JSON.parse(text) as Draft) : null
  }

  async function load(): Promise<JourneyView> {
    kept.value = await read()
    const begun = draft()
    await lookAt(begun?.version === kept.value.version ? begun.document : kept.value.document)
    return view()
  }

  async function save(_: JourneyView, journey: JourneyDocument): Promise<JourneyView> {
    if (!isOfSteps(journey)) {
      throw new Refused({ status: 422, code: 'steps-only', detail: STEPS_ONLY })
    }
    const changed = { id, name: journey.name, body: journey.body }
    await lookAt(changed)
    const version = kept.value?.version ?? 0
    sessionStorage.setItem(key, JSON.stringify({ version, document: changed } satisfies Draft))
    return view()
  }

  function isOfSteps(journey: JourneyDocument): boolean {
    const lists = [journey.triggers, journey.leaveWhen, journey.secondaryGoals]
    const rules = [journey.goal, journey.entryFilter, journey.sendWindow, journey.frequencyGuard]
    return (
      lists.every((one) => one.length === 0) &&
      [...rules, journey.zone, journey.sender].every((one) => one === null)
    )
  }

  /** As the sheet and the picture take it. */
  function view(): JourneyView {
    const { sheet, expanded } = look.value!
    const { version, savedAt } = kept.value!
    const { name, body } = document!
    return {
      id: 0,
      version,
      savedAt,
      journey: { ...expanded, name, body },
      expanded,
      sheet,
      findings: [],
      behaviour: { groups: [] } as unknown as JourneyView['behaviour'],
      behaviourVersion: 0,
      state: {} as JourneyView['state'],
      stateChanges: [],
      mailLeavesTo: null,
      archived: false,
      starter: null,
      estimate: null,
    }
  }

  /** Saves what is on the screen for all that go through it. */
  async function keep(): Promise<boolean> {
    refusal.value = null
    try {
      kept.value = await answerOf(
        api.PUT('/api/strands/{id}', {
          params: { path: { id } },
          body: { version: kept.value!.version, document: document! },
        }),
      )
      sessionStorage.removeItem(key)
      await lookAt(kept.value.document)
      await Promise.all([outdated('journeys'), outdated('library'), outdated('estimate')])
      return true
    } catch (failure) {
      lost.value = failure instanceof Refused && failure.problem.code === 'save-lost'
      refusal.value = reasonOf(failure)
      return false
    }
  }

  /** Goes on from what somebody else has saved meanwhile: what is here is saved over it next. */
  async function goOnFromTheirs(): Promise<void> {
    kept.value = await read()
    lost.value = false
    refusal.value = null
    await lookAt(document!)
  }

  /** Forgets what is not saved. */
  function discard(): void {
    sessionStorage.removeItem(key)
    lost.value = false
    refusal.value = null
  }

  const source: Source = { key: `strand.${id}`, ofStrand: true, load, save }
  return { source, kept, look, refusal, lost, keep, goOnFromTheirs, discard }
}
