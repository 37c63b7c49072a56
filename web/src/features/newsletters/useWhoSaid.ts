import { shallowRef, watch, type Ref } from 'vue'

/** Who gets something and who of them does not, as it is typed. */
export interface WhoSaid {
  whoSays: string
  butNotSays: string
}

/**
 * Who gets a draft, as its form begins with it: as it is kept, or, where somebody comes back to their
 * changes, as these say it.
 *
 * @param kept as it is kept
 * @param look as the changes say it
 * @param unseen why nobody knows how the changes say it
 * @param taken how often what is shown was replaced; the form begins anew then
 */
export function useWhoSaid({
  kept,
  look,
  unseen,
  changed,
  taken,
}: {
  kept: Readonly<Ref<WhoSaid | undefined>>
  look: Readonly<Ref<WhoSaid | undefined>>
  unseen: Readonly<Ref<unknown>>
  changed: Readonly<Ref<boolean>>
  taken: Readonly<Ref<number>>
}): Readonly<Ref<WhoSaid | null>> {
  const said = shallowRef<WhoSaid | null>(null)
  let of = taken.value
  watch(
    [kept, look, unseen, taken],
    () => {
      if (of !== taken.value) said.value = null
      of = taken.value
      const own = look.value ?? (unseen.value ? kept.value : undefined)
      said.value ??= (changed.value ? own : kept.value) ?? null
    },
    { immediate: true },
  )
  return said
}
