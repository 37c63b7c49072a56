import { namesIn, part } from './editors/shapes'
import { useStorage } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf, Refused, type ApiProblem } from '@/api/client'
import type {
  BehaviourDocument,
  JourneyDocument,
  JourneyView,
  MessageView,
  RunMeasures,
  SegmentDocument,
  StepDocument,
  StrandDocument,
} from '@/api/types'
import { allSteps } from './edits'

/** Whether what is on the screen is saved. */
export type SaveState =
  | { status: 'saved' }
  | { status: 'saving' }
  | { status: 'refused'; reason: string }
  | { status: 'lost'; problem: ApiProblem }

interface Edit {
  name: string
  before: JourneyDocument
  after: JourneyDocument
}

/** Whether one says something else than the other; its state is not saved with it. */
function differs(one: JourneyDocument, other: JourneyDocument): boolean {
  return JSON.stringify({ ...one, state: null }) !== JSON.stringify({ ...other, state: null })
}

/**
 * The journey that is being edited. Run sheet, trellis and step panel are three views of it. Every
 * edit is a named command: it shows at once, can be undone, and is saved by itself; saves go one
 * after another, and the newest document wins.
 */
export const useJourneyStore = defineStore('journey', () => {
  const view = shallowRef<JourneyView | null>(null)
  const journey = shallowRef<JourneyDocument | null>(null)
  const estimate = shallowRef<RunMeasures | null>(null)
  const messages = shallowRef<MessageView[]>([])
  const strands = shallowRef<StrandDocument[]>([])
  const segments = shallowRef<SegmentDocument[]>([])
  const selected = ref<string | null>(null)
  /** The other end of the chosen rows; the same as {@link selected} if one is chosen. */
  const rangeStart = ref<string | null>(null)
  /** The row or mark that is pointed at; the others show which it is. */
  const hovered = ref<string | null>(null)
  const save = shallowRef<SaveState>({ status: 'saved' })
  /** What saves are signed with; kept in this browser. */
  const author = useStorage('open-trellis.author', '')
  const loadFailure = ref<string | null>(null)
  const done = shallowRef<Edit[]>([])
  const undone = shallowRef<Edit[]>([])
  let unsaved: JourneyDocument | null = null
  let saving = false
  let estimateNumber = 0
  let estimating: AbortController | null = null

  const canUndo = computed(() => done.value.length > 0)
  const canRedo = computed(() => undone.value.length > 0)
  const undoName = computed(() => done.value.at(-1)?.name ?? '')
  const redoName = computed(() => undone.value.at(-1)?.name ?? '')

  async function open(id: number, step: string | null): Promise<void> {
    if (view.value?.id !== id) {
      view.value = null
      journey.value = null
      estimate.value = null
      select(step)
      done.value = []
      undone.value = []
    }
    save.value = { status: 'saved' }
    loadFailure.value = null
    try {
      const [loaded, library, shared, groups] = await Promise.all([
        answerOf(api.GET('/api/journeys/{id}', { params: { path: { id } } })),
        answerOf(api.GET('/api/messages')),
        answerOf(api.GET('/api/strands')),
        answerOf(api.GET('/api/segments')),
      ])
      messages.value = library
      strands.value = shared.map((one) => one.document)
      segments.value = groups.map((one) => one.document)
      if (journey.value === null || view.value?.version !== loaded.version) {
        journey.value = loaded.journey
        done.value = []
        undone.value = []
      }
      view.value = loaded
      if (differs(journey.value, loaded.journey)) show(journey.value)
      else void refreshEstimate()
    } catch (failure) {
      loadFailure.value = reasonOf(failure)
    }
  }

  function select(step: string | null): void {
    selected.value = step
    rangeStart.value = step
  }

  /** Chooses several rows, from the first to the last of them. */
  function choose(rows: string[]): void {
    rangeStart.value = rows[0] ?? null
    selected.value = rows.at(-1) ?? null
  }

  /** Chooses all rows from where the choice began to this one. */
  function extendTo(row: string): void {
    rangeStart.value ??= row
    selected.value = row
  }

  /** Does an edit. Nothing happens if it changes nothing. */
  function edit(name: string, change: (journey: JourneyDocument) => JourneyDocument): void {
    if (!journey.value) return
    const before = journey.value
    const after = change(before)
    if (after === before || JSON.stringify(after) === JSON.stringify(before)) return
    done.value = [...done.value, { name, before, after }]
    undone.value = []
    show(after)
  }

  function undo(): void {
    const last = done.value.at(-1)
    if (!last) return
    done.value = done.value.slice(0, -1)
    undone.value = [...undone.value, last]
    show(last.before)
  }

  function redo(): void {
    const next = undone.value.at(-1)
    if (!next) return
    undone.value = undone.value.slice(0, -1)
    done.value = [...done.value, next]
    show(next.after)
  }

  function show(document: JourneyDocument): void {
    journey.value = document
    unsaved = document
    if (save.value.status !== 'lost') void saveAll()
  }

  /** Saves again what could not be saved. */
  function saveAgain(): void {
    if (journey.value) show(journey.value)
  }

  async function saveAll(): Promise<void> {
    if (saving || !view.value) return
    saving = true
    while (unsaved && view.value) {
      const document: JourneyDocument = unsaved
      unsaved = null
      save.value = { status: 'saving' }
      try {
        view.value = await answerOf(
          api.PUT('/api/journeys/{id}', {
            params: { path: { id: view.value.id } },
            body: { version: view.value.version, journey: document, by: author.value || null },
          }),
        )
        save.value = { status: 'saved' }
      } catch (failure) {
        save.value = failed(failure)
        if (save.value.status === 'lost') break
      }
    }
    saving = false
    if (save.value.status === 'saved') void refreshEstimate()
  }

  function failed(failure: unknown): SaveState {
    if (failure instanceof Refused && failure.problem.code === 'save-lost') {
      return { status: 'lost', problem: failure.problem }
    }
    return { status: 'refused', reason: reasonOf(failure) }
  }

  /**
   * Ends a lost save: what the other side saved, with some rows as they are here. Undo brings back
   * what was here, and once more what was there.
   *
   * @param rows those to be as they are here
   */
  async function settle(rows: string[]): Promise<void> {
    const theirs = conflict()
    const ours = journey.value
    if (!theirs || !ours) return
    const merged =
      rows.length === 0
        ? theirs.journey
        : await answerOf(
            api.POST('/api/arrangements/merges', { body: { theirs: theirs.journey, ours, rows } }),
          )
    view.value = theirs
    unsaved = null
    done.value = [
      ...done.value,
      { name: 'set aside the other version', before: theirs.journey, after: ours },
      { name: 'put both versions together', before: ours, after: merged },
    ]
    undone.value = []
    save.value = { status: 'saving' }
    show(merged)
  }

  /** Opens, closes or stops the journey; edits stay as they are. */
  async function changeState(state: JourneyDocument['state']): Promise<void> {
    if (!view.value) return
    view.value = await answerOf(
      api.PUT('/api/journeys/{id}/state', {
        params: { path: { id: view.value.id } },
        body: { version: view.value.version, state, by: author.value || null },
      }),
    )
  }

  function conflict(): JourneyView | null {
    return save.value.status === 'lost' ? (save.value.problem.current ?? null) : null
  }

  async function saveBehaviour(behaviour: BehaviourDocument): Promise<void> {
    if (!view.value) return
    view.value = await answerOf(
      api.PUT('/api/journeys/{id}/behaviour', {
        params: { path: { id: view.value.id } },
        body: { version: view.value.behaviourVersion, behaviour },
      }),
    )
    void refreshEstimate()
  }

  /** Asks for the newest estimate; one that is still under way is given up. */
  async function refreshEstimate(): Promise<void> {
    if (!view.value) return
    const number = ++estimateNumber
    estimating?.abort()
    estimating = new AbortController()
    const { signal } = estimating
    try {
      const measures = await answerOf(
        api.POST('/api/journeys/{id}/estimates', {
          params: { path: { id: view.value.id } },
          signal,
        }),
      )
      if (number === estimateNumber) estimate.value = measures
    } catch (failure) {
      if (number === estimateNumber) save.value = { status: 'refused', reason: reasonOf(failure) }
    }
  }

  async function addMessage(name: string, content: MessageView['content']): Promise<MessageView> {
    const added = await answerOf(
      api.POST('/api/messages', {
        body: { name, content, links: [], voucher: false, version: null },
      }),
    )
    messages.value = [...messages.value, added]
    return added
  }

  async function saveMessage(message: MessageView): Promise<void> {
    const saved = await answerOf(
      api.PUT('/api/messages/{id}', {
        params: { path: { id: message.id } },
        body: {
          name: message.name,
          content: message.content,
          links: message.links,
          voucher: message.voucher,
          version: message.version,
        },
      }),
    )
    messages.value = messages.value.map((one) => (one.id === saved.id ? saved : one))
    if (view.value) {
      const id = view.value.id
      const fresh = await answerOf(api.GET('/api/journeys/{id}', { params: { path: { id } } }))
      view.value = { ...fresh, version: view.value.version }
    }
  }

  /** The names of one type that the account already uses. */
  function knownNames(type: string): string[] {
    if (type === 'LinkName') return [...new Set(messages.value.flatMap((one) => one.links))]
    if (type === 'SegmentName') return segments.value.map((one) => one.name)
    if (type === 'JourneyName') return view.value?.otherJourneys ?? []
    const groups = view.value?.behaviour.groups ?? []
    const held: Record<string, string[]> = {
      FieldName: groups.flatMap((group) => Object.keys(group.fields)),
      EventName: groups.flatMap((group) => Object.keys(group.events)),
    }
    const named = [
      ...namesIn(part('Journey'), journey.value, type),
      ...groups.flatMap((group) => namesIn(part('AudienceGroup'), group, type)),
      ...(held[type] ?? []),
    ]
    return [...new Set(named)].sort()
  }

  /** What a step is called on the sheet. */
  function nameOfStep(id: string): string {
    const row = view.value?.sheet.rows.find((one) => one.id === id)
    return row?.sentence.spans.find((span) => span.strong)?.text ?? id
  }

  /** The steps to draw: those of strands too, as soon as the server has put them in place. */
  const drawn = computed<StepDocument[]>(() => {
    const body = journey.value?.body ?? []
    const includes = allSteps(body).some((step) => step.kind === 'include')
    return includes && view.value ? view.value.expanded.body : body
  })

  /** The chosen rows, in their order; the lines about the whole journey are chosen one at a time. */
  const chosen = computed<string[]>(() => {
    const here = selected.value
    if (here === null) return []
    const ids = view.value?.sheet.rows.map((row) => row.id) ?? []
    const ends = [ids.indexOf(rangeStart.value ?? here), ids.indexOf(here)].sort((a, b) => a - b)
    return ends[0]! < 0 ? [here] : ids.slice(ends[0], ends[1]! + 1)
  })

  const stepIds = computed(() =>
    journey.value ? allSteps(journey.value.body).map((step) => step.id) : [],
  )

  return {
    view,
    strands,
    segments,
    stepIds,
    knownNames,
    nameOfStep,
    drawn,
    journey,
    estimate,
    messages,
    selected,
    hovered,
    chosen,
    save,
    loadFailure,
    canUndo,
    canRedo,
    undoName,
    redoName,
    open,
    select,
    choose,
    extendTo,
    edit,
    undo,
    redo,
    saveAgain,
    settle,
    changeState,
    author,
    saveBehaviour,
    addMessage,
    saveMessage,
  }
})
