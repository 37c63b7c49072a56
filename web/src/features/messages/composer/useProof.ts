import { useDebounceFn } from '@vueuse/core'
import { ref, shallowRef, watch } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { MadeUpPerson, ProofView } from '@/api/types'
import { useManuscript } from './manuscriptStore'

/** As whom a message is looked at. */
export type Reader =
  | { kind: 'known'; id: number; name: string }
  | { kind: 'made'; person: MadeUpPerson }
  | { kind: 'nobody' }

/** The proof follows typing this fast. */
const PAUSE_MILLIS = 30

/** A message as somebody sees it, made anew with each edit; the newest answer counts. */
export function useProof() {
  const store = useManuscript()
  const reader = ref<Reader>({ kind: 'nobody' })
  const dark = ref(false)
  const proof = shallowRef<ProofView | null>(null)
  const trouble = ref<string | null>(null)
  let newest = 0

  async function make(): Promise<void> {
    if (!store.draft) return
    const number = ++newest
    const who = reader.value
    try {
      const made = await answerOf(
        api.POST('/api/proofs', {
          body: {
            manuscript: store.draft.manuscript,
            person: who.kind === 'known' ? who.id : null,
            made: who.kind === 'made' ? who.person : null,
            dark: dark.value,
          },
        }),
      )
      if (number !== newest) return
      proof.value = made
      trouble.value = null
    } catch (failure) {
      if (number === newest) trouble.value = reasonOf(failure)
    }
  }

  const makeSoon = useDebounceFn(make, PAUSE_MILLIS)
  watch(
    [() => store.draft?.manuscript, reader, dark],
    ([now], [before]) => void (now && !before ? make() : makeSoon()),
    { deep: true, immediate: true },
  )

  return { proof, trouble, reader, dark, again: make }
}
