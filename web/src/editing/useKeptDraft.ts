import { computed, type Ref } from 'vue'
import { useForm } from '@/api/useForm'
import { lateSave } from './lateSave'
import { useDraft } from './useDraft'

/** A document as it is kept, and at which version. */
export interface Kept<T> {
  document: T
  version: number
}

/**
 * A document that is changed here and then kept: over what somebody else has saved meanwhile only
 * when that is meant, and with nothing lost that is typed while it is being kept.
 *
 * @param kept how it is kept, once it is known
 * @param place a name of its own, under which changes wait in this tab
 * @param fields what can tell at its place what is wrong with it
 * @param put keeps it; gives how it is kept then
 * @param lookAnew asks anew for whatever shows it
 */
export function useKeptDraft<T>({
  kept,
  place,
  fields = [],
  put,
  lookAnew,
}: {
  kept: Readonly<Ref<Kept<T> | undefined>>
  place: string
  fields?: string[]
  put: (draft: Kept<T>) => Promise<Kept<T>>
  lookAnew: () => Promise<unknown>
}) {
  const {
    given: draft,
    changed,
    taken,
    take,
  } = useDraft<Kept<T>>(kept, place, ({ document }) => document)
  const form = useForm(...fields)
  const given = computed({
    get: () => draft.value?.document ?? null,
    set: (document) => {
      if (draft.value && document !== null) draft.value.document = document
    },
  })

  async function keep() {
    const sent = JSON.stringify(draft.value)
    const now = await put(JSON.parse(sent) as Kept<T>)
    const typedSince = JSON.stringify(draft.value) !== sent
    take(now, typedSince ? { ...now, document: draft.value!.document } : now)
  }

  const save = () =>
    form.send(async () => {
      try {
        await keep()
      } catch (reason) {
        throw lateSave(reason, (version) => (draft.value!.version = version))
      } finally {
        await lookAnew()
      }
    })

  /** Back to what is kept now. */
  function undo() {
    if (kept.value) take(kept.value)
    form.forget()
  }

  return { ...form, given, changed, taken, save, undo }
}
