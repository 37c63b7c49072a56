import { useStorage } from '@vueuse/core'
import { replaceEqualDeep } from '@tanstack/vue-query'
import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated } from '@/api/queries'
import type { FindingView, JourneyDocument, JourneyView, RunSheet, StepDocument } from '@/api/types'
import { allSteps, wholeOf } from './edits'
import { journeySource, type Source } from './source'
import { useHistory } from '@/editing/useHistory'
import { useSaving } from '@/editing/useSaving'

/** What others show is asked for when what was saved is to be seen. */
const AFTER_PICTURE_MILLIS = 50

/** Whether one says something else than the other; its state is not saved with it. */
function differs(one: JourneyDocument, other: JourneyDocument): boolean {
  return JSON.stringify({ ...one, state: null }) !== JSON.stringify({ ...other, state: null })
}

/** What edits are kept under in this tab. */
function historyOf(source: Source): string {
  return `open-trellis.history.${source.key}`
}

/**
 * The journey that is being edited. Run sheet, trellis and step panel are three views of it. Every
 * edit is a named command: it shows at once, can be undone, and is saved by itself.
 */
export const useJourneyStore = defineStore('journey', () => {
  const source = shallowRef<Source | null>(null)
  const view = shallowRef<JourneyView | null>(null)
  const journey = shallowRef<JourneyDocument | null>(null)
  /** What saves are signed with; kept in this browser. */
  const author = useStorage('open-trellis.author', '')
  const loadFailure = ref<string | null>(null)
  const history = useHistory<JourneyDocument>()
  const saving = useSaving(send)
  const save = saving.state

  /** Whether the sheet that is shown says an edit that no save has been sent of. */
  let sheetIsAhead = false

  async function send(document: JourneyDocument): Promise<void> {
    if (!view.value || !source.value) return
    sheetIsAhead = false
    const saved = await source.value.save(view.value, document)
    // Something may have been typed meanwhile: its line does not go away until it is saved too.
    const next = sheetIsAhead ? { ...saved, sheet: view.value.sheet } : saved
    // What says the same stays the same, so that it is not drawn again.
    view.value = replaceEqualDeep(view.value, next)
    takePurpose(view.value.journey.purpose, document)
    history.keep(historyOf(source.value))
    if (!source.value.ofStrand) setTimeout(() => void outdated('journeys'), AFTER_PICTURE_MILLIS)
  }

  /** What a journey is for follows from its first trigger, unless somebody has said: the server. */
  function takePurpose(purpose: JourneyDocument['purpose'], sent: JourneyDocument): void {
    if (!journey.value || purpose === sent.purpose) return
    if (journey.value === sent) journey.value = { ...sent, purpose }
    else if (journey.value.purpose === sent.purpose) show({ ...journey.value, purpose })
  }

  /** Opens a journey; one that is open already keeps what is not saved of it, and its undo. */
  function open(id: number): Promise<void> {
    return openFrom(journeySource(id, () => author.value))
  }

  async function openFrom(other: Source): Promise<void> {
    await saving.idle()
    if (source.value?.key !== other.key) {
      view.value = null
      journey.value = null
      history.forget()
    }
    source.value = other
    saving.reset()
    loadFailure.value = null
    try {
      const loaded = await other.load()
      // Something else has been opened meanwhile.
      if (source.value !== other) return
      if (journey.value === null || view.value?.version !== loaded.version) {
        journey.value = loaded.journey
        history.forget()
        history.recall(historyOf(other), (state) => !differs(state, loaded.journey))
      }
      view.value = loaded
      if (differs(journey.value, loaded.journey)) show(journey.value)
    } catch (failure) {
      if (source.value === other) loadFailure.value = reasonOf(failure)
    }
  }

  /**
   * Does an edit. Nothing happens if it changes nothing.
   *
   * @param sheet what the run sheet says after it, if that is known before it is saved
   */
  function edit(
    name: string,
    change: (journey: JourneyDocument) => JourneyDocument,
    sheet: RunSheet | null = null,
  ): void {
    if (!journey.value) return
    const before = journey.value
    const after = change(before)
    if (after === before || JSON.stringify(after) === JSON.stringify(before)) return
    history.add(name, before, after)
    if (sheet && view.value) {
      view.value = { ...view.value, sheet }
      sheetIsAhead = true
    }
    show(after)
  }

  /** Does what a finding offers: an edit like any other, of those members that it says. */
  function mend(fix: NonNullable<FindingView['fix']>): void {
    edit(fix.label.toLowerCase(), (before) => ({ ...before, ...fix.changes }))
  }

  function undo(): void {
    const before = history.undo()
    if (before) show(before)
  }

  function redo(): void {
    const after = history.redo()
    if (after) show(after)
  }

  function show(document: JourneyDocument): void {
    journey.value = document
    saving.save(document)
  }

  /** Saves again what could not be saved. */
  function saveAgain(): void {
    if (journey.value) show(journey.value)
  }

  /**
   * Ends a lost save: what the other side saved, with some rows as they are here. Undo brings back
   * what was here, and once more what was there.
   *
   * @param rows those to be as they are here
   */
  async function settle(rows: string[]): Promise<void> {
    const theirs = save.value.status === 'lost' ? save.value.problem.current : null
    if (!theirs || !journey.value) return
    let ours: JourneyDocument
    let merged: JourneyDocument
    // What is edited meanwhile is put together, too.
    do {
      ours = journey.value
      merged =
        rows.length === 0
          ? theirs.journey
          : await answerOf(
              api.POST('/api/arrangements/merges', {
                body: { theirs: theirs.journey, ours, rows },
              }),
            )
    } while (journey.value !== ours)
    view.value = theirs
    history.add('set aside the other version', theirs.journey, ours)
    history.add('put both versions together', ours, merged)
    saving.reset()
    show(merged)
  }

  /**
   * Opens, closes or stops the journey; edits stay as they are. When it is opened, those inside go on
   * with it as it is now, or finish on the plan that they began.
   */
  async function changeState(state: JourneyDocument['state'], finishBegun = false): Promise<void> {
    if (!view.value) return
    const { id, version } = view.value
    view.value = await answerOf(
      api.PUT('/api/journeys/{id}/state', {
        params: { path: { id } },
        body: { version, state, by: author.value || null, finishBegun },
      }),
    )
    void outdated('journeys')
  }

  /** Reads sentences and findings anew, since what the journey refers to has changed. */
  async function lookAnew(): Promise<void> {
    if (!view.value || !source.value) return
    const asked = source.value
    const { version } = view.value
    const loaded = await asked.load()
    if (source.value !== asked || !view.value) return
    // What was saved meanwhile is newer than what was read.
    if (view.value.version !== version) return lookAnew()
    const sheet = sheetIsAhead ? view.value.sheet : loaded.sheet
    view.value = { ...loaded, version, sheet }
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
    return includes && view.value ? wholeOf(view.value).body : body
  })

  const stepIds = computed(() =>
    journey.value ? allSteps(journey.value.body).map((step) => step.id) : [],
  )

  const ofStrand = computed(() => source.value?.ofStrand ?? false)

  return {
    ofStrand,
    view,
    journey,
    drawn,
    stepIds,
    nameOfStep,
    save,
    loadFailure,
    author,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    undoName: history.undoName,
    redoName: history.redoName,
    open,
    openFrom,
    edit,
    mend,
    undo,
    redo,
    saveAgain,
    settle,
    changeState,
    lookAnew,
  }
})
