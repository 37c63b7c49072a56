import type { NameUse } from '@/api/types'
import type { TableColumn } from '@/ui/table'

/** How many people have something to do with a name, and what uses it. */
export const peopleAndUses = <T extends { people: number }>(): TableColumn<T>[] => [
  {
    id: 'people',
    head: 'people',
    value: (one) => one.people,
    headClass: 'px-3',
    cellClass: 'px-3',
  },
  {
    id: 'used',
    head: 'used by',
    headClass: 'px-3 text-left',
    cellClass: 'w-full max-w-0 truncate px-3 text-left',
  },
]

export const namesOf = (uses: NameUse[]) => uses.map((use) => use.name).join(', ')
