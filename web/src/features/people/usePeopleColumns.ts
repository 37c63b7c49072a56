import { useQuery } from '@tanstack/vue-query'
import { useLocalStorage } from '@vueuse/core'
import { computed } from 'vue'
import { questions } from '@/api/queries'
import type { PersonLine } from '@/api/types'
import type { TableColumn } from '@/ui/table'

const LEFT = { headClass: 'px-2 text-left', cellClass: 'px-2 text-left whitespace-nowrap' }

/** What can stand beside a name, besides fields. */
const OFFERED = [
  { key: 'address', head: 'address' },
  { key: 'labels', head: 'lists and tags' },
  { key: 'mailing', head: 'email' },
  { key: 'phone', head: 'phone' },
  { key: 'zone', head: 'time zone' },
  { key: 'source', head: 'how they came' },
  { key: 'came', head: 'came' },
]
const USUAL = ['address', 'labels', 'mailing', 'came']
const FIELD = 'field '

const OWN: Record<string, Partial<TableColumn<PersonLine>>> = {
  address: { cellClass: 'max-w-60 truncate px-2 text-left' },
  labels: { cellClass: 'w-full max-w-0 min-w-40 overflow-hidden px-2 text-left' },
  source: { cellClass: 'max-w-50 truncate px-2 text-left' },
  came: { headClass: 'px-3', cellClass: 'px-3 whitespace-nowrap' },
}

/** The columns of the table of people: those that were chosen in this browser, in one order. */
export function usePeopleColumns() {
  const chosen = useLocalStorage<string[]>('people-columns', USUAL)
  const names = useQuery(() => questions.registeredNames())
  const fields = computed(() =>
    (names.data.value ?? [])
      .filter((one) => one.kind === 'FIELD' && one.id !== null)
      .map((one) => ({ key: FIELD + one.name, head: one.name, title: 'field' })),
  )
  const offered = computed(() => [...OFFERED, ...fields.value])
  const columns = computed<TableColumn<PersonLine>[]>(() => [
    {
      id: 'pick',
      head: 'chosen',
      headClass: 'w-9 pl-3 text-left',
      cellClass: 'w-9 pl-3 text-left',
    },
    {
      id: 'name',
      head: 'name',
      names: true,
      headClass: 'px-3',
      cellClass: 'max-w-50 truncate px-3',
    },
    ...offered.value
      .filter((one) => chosen.value.includes(one.key))
      .map((one) => ({ id: one.key, head: one.head, ...LEFT, ...OWN[one.key] })),
    { id: 'columns', head: 'Columns', headClass: 'w-20 pr-2 font-normal', cellClass: 'w-20' },
  ])
  /** The fields among the columns, by the ids of those. */
  const shownFields = computed(() => fields.value.filter((one) => chosen.value.includes(one.key)))

  return { chosen, offered, columns, shownFields }
}
