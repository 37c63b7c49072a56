import type { EmailDocument, PartDocument } from '@/api/types'

/** Where a part stands: in which list, and the how manieth it is there. */
export interface Spot {
  list: PartDocument[]
  index: number
}

/** The lists of parts that are right inside of a part. */
export function listsIn(part: PartDocument): PartDocument[][] {
  if (part.kind === 'columns') return part.columns.map((column) => column.parts)
  if (part.kind === 'passage') return [part.parts, part.otherwise]
  return []
}

/** Every part, those inside of others too, in the order of reading. */
export function allParts(parts: PartDocument[]): PartDocument[] {
  return parts.flatMap((part) => [part, ...listsIn(part).flatMap(allParts)])
}

export function findPart(parts: PartDocument[], id: string | null): PartDocument | null {
  return allParts(parts).find((part) => part.id === id) ?? null
}

/** Each list of parts after something was done to it, the outer ones too. */
function mapLists(
  parts: PartDocument[],
  change: (list: PartDocument[]) => PartDocument[],
): PartDocument[] {
  return change(
    parts.map((part) => {
      if (part.kind === 'columns') {
        const columns = part.columns.map((one) => ({ parts: mapLists(one.parts, change) }))
        return { ...part, columns }
      }
      if (part.kind === 'passage') {
        return {
          ...part,
          parts: mapLists(part.parts, change),
          otherwise: mapLists(part.otherwise, change),
        }
      }
      return part
    }),
  )
}

/** The list in which a part stands. */
export function spotOf(parts: PartDocument[], id: string): Spot | null {
  const index = parts.findIndex((part) => part.id === id)
  if (index >= 0) return { list: parts, index }
  for (const part of parts) {
    for (const list of listsIn(part)) {
      const spot = spotOf(list, id)
      if (spot) return spot
    }
  }
  return null
}

/** The parts without some. */
export function without(parts: PartDocument[], ids: string[]): PartDocument[] {
  return mapLists(parts, (list) => list.filter((part) => !ids.includes(part.id)))
}

/** The parts with another in the place of the one of its id. */
export function replaced(parts: PartDocument[], other: PartDocument): PartDocument[] {
  return mapLists(parts, (list) => list.map((part) => (part.id === other.id ? other : part)))
}

/** Where something comes: behind a part, before one, or at the end of a list inside of one. */
export type Place =
  { behind: string | null } | { before: string } | { inside: string; list: number }

/** The parts with some more at a place; behind nothing is at the very beginning. */
export function inserted(
  parts: PartDocument[],
  more: PartDocument[],
  place: Place,
): PartDocument[] {
  if ('inside' in place) {
    const part = findPart(parts, place.inside)
    if (part?.kind === 'columns') {
      const columns = part.columns.map((one, n) =>
        n === place.list ? { parts: [...one.parts, ...more] } : one,
      )
      return replaced(parts, { ...part, columns })
    }
    if (part?.kind === 'passage') {
      return replaced(
        parts,
        place.list === 0
          ? { ...part, parts: [...part.parts, ...more] }
          : { ...part, otherwise: [...part.otherwise, ...more] },
      )
    }
    return parts
  }
  if ('behind' in place && place.behind === null) return [...more, ...parts]
  const id = 'before' in place ? place.before : place.behind
  return mapLists(parts, (list) => {
    const at = list.findIndex((part) => part.id === id)
    if (at < 0) return list
    return list.toSpliced('before' in place ? at : at + 1, 0, ...more)
  })
}

/** The parts with one of them at another place; the same if it would come inside of itself. */
export function moved(parts: PartDocument[], id: string, place: Place): PartDocument[] {
  const part = findPart(parts, id)
  const to = 'inside' in place ? place.inside : 'before' in place ? place.before : place.behind
  if (!part || allParts([part]).some((one) => one.id === to)) return parts
  return inserted(without(parts, [id]), [part], place)
}

/** One place up or down in its list; out of what it is inside of at an end. */
export function nudged(parts: PartDocument[], id: string, by: 1 | -1): PartDocument[] {
  const spot = spotOf(parts, id)
  if (!spot) return parts
  const beside = spot.list[spot.index + by]
  if (beside) return moved(parts, id, by > 0 ? { behind: beside.id } : { before: beside.id })
  const around = allParts(parts).find((part) => listsIn(part).includes(spot.list))
  if (!around) return parts
  return moved(parts, id, by > 0 ? { behind: around.id } : { before: around.id })
}

/** Ids that no part has yet. */
export function freshIds(parts: PartDocument[]): () => string {
  const taken = new Set(allParts(parts).map((part) => part.id))
  return () => {
    let n = taken.size + 1
    while (taken.has(`p${n}`)) n++
    taken.add(`p${n}`)
    return `p${n}`
  }
}

/** The same parts under ids of their own, to stand in a message once more. */
export function renewed(some: PartDocument[], fresh: () => string): PartDocument[] {
  return some.map((part) => {
    const id = fresh()
    if (part.kind === 'columns') {
      const columns = part.columns.map((one) => ({ parts: renewed(one.parts, fresh) }))
      return { ...part, id, columns }
    }
    if (part.kind === 'passage') {
      return {
        ...part,
        id,
        parts: renewed(part.parts, fresh),
        otherwise: renewed(part.otherwise, fresh),
      }
    }
    return { ...part, id }
  })
}

/** The email with other parts. */
export function withParts(email: EmailDocument, parts: PartDocument[]): EmailDocument {
  return { ...email, parts }
}
