import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated } from '@/api/queries'
import type { EmailDocument, ManuscriptDocument, MessageSheet, PartDocument } from '@/api/types'
import { useHistory } from '@/editing/useHistory'
import { useSaving } from '@/editing/useSaving'
import { findPart } from './parts'

/** What can be changed of a message. */
export interface Draft {
  name: string
  labels: string[]
  manuscript: ManuscriptDocument
}

/** Keys that follow each other this fast are one edit. */
const TOGETHER_MILLIS = 1500

/** The message that is open, as it is written: edits, undo, saving. */
export const useManuscript = defineStore('manuscript', () => {
  const sheet = shallowRef<MessageSheet | null>(null)
  const draft = shallowRef<Draft | null>(null)
  const savedAt = ref(0)
  const loadFailure = ref<string | null>(null)
  const selected = ref<string | null>(null)
  const history = useHistory<Draft>()
  let lastKey = ''
  let lastAt = 0

  const saving = useSaving<Draft>(async (document) => {
    const { id, version } = sheet.value!
    sheet.value = await answerOf(
      api.PUT('/api/messages/{id}/manuscript', {
        params: { path: { id } },
        body: { ...document, version },
      }),
    )
    savedAt.value = Date.now()
    history.keep(keyOf(id))
    await Promise.all([outdated('library'), outdated('journeys'), outdated('message', id)])
  })

  const email = computed<EmailDocument | null>(() =>
    draft.value?.manuscript.kind === 'email' ? draft.value.manuscript : null,
  )
  const part = computed<PartDocument | null>(() =>
    email.value ? findPart(email.value.parts, selected.value) : null,
  )

  function keyOf(id: string): string {
    return `open-trellis.message.${id}`
  }

  function draftOf(one: MessageSheet): Draft {
    return { name: one.name, labels: one.labels, manuscript: one.manuscript }
  }

  async function open(id: string): Promise<void> {
    await saving.idle()
    if (sheet.value?.id === id && saving.state.value.status === 'saved') return refresh(id)
    draft.value = null
    selected.value = null
    history.forget()
    saving.reset()
    await refresh(id)
    history.recall(keyOf(id), (state) => JSON.stringify(state) === JSON.stringify(draft.value))
  }

  async function refresh(id: string): Promise<void> {
    loadFailure.value = null
    try {
      sheet.value = await answerOf(api.GET('/api/messages/{id}', { params: { path: { id } } }))
      draft.value = draftOf(sheet.value)
    } catch (failure) {
      loadFailure.value = reasonOf(failure)
    }
  }

  /**
   * Changes the message; what it was can be brought back.
   *
   * @param name what is done, for undo
   * @param key edits with the same key that follow each other fast are one
   */
  function edit(name: string, change: (draft: Draft) => Draft, key = ''): void {
    const before = draft.value
    if (!before) return
    const after = change(before)
    if (JSON.stringify(after) === JSON.stringify(before)) return
    const now = Date.now()
    const goesOn = key !== '' && key === lastKey && now - lastAt < TOGETHER_MILLIS
    const began = goesOn ? (history.undo() ?? before) : before
    history.add(name, began, after)
    lastKey = key
    lastAt = now
    show(after)
  }

  function show(after: Draft): void {
    draft.value = after
    saving.save(after)
  }

  /** Changes the parts of an email. */
  function editParts(name: string, change: (parts: PartDocument[]) => PartDocument[], key = '') {
    editEmail(name, (one) => ({ ...one, parts: change(one.parts) }), key)
  }

  function editEmail(name: string, change: (email: EmailDocument) => EmailDocument, key = '') {
    edit(
      name,
      (one) =>
        one.manuscript.kind === 'email' ? { ...one, manuscript: change(one.manuscript) } : one,
      key,
    )
  }

  function undo(): void {
    const before = history.undo()
    lastKey = ''
    if (before) show(before)
  }

  function redo(): void {
    const after = history.redo()
    lastKey = ''
    if (after) show(after)
  }

  /** Settles a lost race: what is here is saved over theirs, or theirs is taken. */
  async function settle(mine: boolean): Promise<void> {
    const ours = draft.value!
    const id = sheet.value!.id
    saving.reset()
    await refresh(id)
    history.add('what somebody else saved', ours, draft.value!)
    if (mine) {
      history.add('yours over theirs', draft.value!, ours)
      show(ours)
    }
  }

  function saveAgain(): void {
    if (draft.value) saving.save(draft.value)
  }

  return {
    sheet,
    draft,
    email,
    part,
    selected,
    savedAt,
    loadFailure,
    save: saving.state,
    idle: saving.idle,
    open,
    edit,
    editEmail,
    editParts,
    undo,
    redo,
    settle,
    saveAgain,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    undoName: history.undoName,
    redoName: history.redoName,
  }
})
