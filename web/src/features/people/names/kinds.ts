import type { NameEdit, NameKind, NameView } from '@/api/types'

/** The kinds of names, as they are chosen from. */
export const KINDS: {
  key: NameKind
  name: string
  one: string
  title: string
  hint: string
  /** What there is to say of one beside its name. */
  detail?: string
  /** What some people have to do with one. */
  whose: (people: number) => string
}[] = [
  {
    key: 'LIST',
    name: 'Lists',
    one: 'list',
    title: 'List',
    hint: 'such as: Newcomers',
    whose: (people) => (people === 1 ? 'person is on it' : 'people are on it'),
  },
  {
    key: 'TAG',
    name: 'Tags',
    one: 'tag',
    title: 'Tag',
    detail: 'group',
    hint: 'such as: market',
    whose: (people) => (people === 1 ? 'person carries it' : 'people carry it'),
  },
  {
    key: 'FIELD',
    name: 'Fields',
    one: 'field',
    title: 'Field',
    detail: 'holds',
    hint: 'such as: hives',
    whose: (people) => (people === 1 ? 'person has a value' : 'people have a value'),
  },
  {
    key: 'FORM',
    name: 'Forms',
    one: 'form',
    title: 'Form',
    hint: 'such as: Planner on the website',
    whose: (people) => (people === 1 ? 'person filled it in' : 'people filled it in'),
  },
  {
    key: 'PRODUCT',
    name: 'Products',
    one: 'product',
    title: 'Product',
    detail: 'category and price',
    hint: 'such as: Hive kit',
    whose: (people) => (people === 1 ? 'person bought it' : 'people bought it'),
  },
  {
    key: 'CATEGORY',
    name: 'Categories',
    one: 'category',
    title: 'Category',
    hint: 'such as: Hives',
    whose: (people) => (people === 1 ? 'person bought of it' : 'people bought of it'),
  },
  {
    key: 'EVENT',
    name: 'Events',
    one: 'event',
    title: 'Event',
    hint: 'such as: course booked',
    whose: (people) => (people === 1 ? 'person to whom it happened' : 'people to whom it happened'),
  },
]

/** What can be shown: a kind of names, or segments. */
export type Shown = NameKind | 'SEGMENT'
export const SHOWN: { key: Shown; name: string }[] = [
  ...KINDS.slice(0, 3),
  { key: 'SEGMENT', name: 'Segments' },
  ...KINDS.slice(3),
]

export const TYPES: Record<NonNullable<NameView['fieldType']>, string> = {
  TEXT: 'text',
  NUMBER: 'number',
  DATE: 'date',
  YES_NO: 'yes or no',
  ONE_OF: 'one of a list',
}

/** A name as it is written down, to be changed. */
export function written(one: NameView): NameEdit {
  const { kind, name, about, group, fieldType, choices, category, priceCents } = one
  return { kind, name, about, group, fieldType, choices, category, priceCents }
}

/** The words in the column that `detail` heads. */
export function detail(one: NameView): string {
  switch (one.kind) {
    case 'FIELD':
      return one.fieldType ? TYPES[one.fieldType] : 'nothing yet'
    case 'TAG':
      return one.group ?? ''
    case 'PRODUCT':
      return [one.category, one.priceCents === null ? null : (one.priceCents / 100).toFixed(2)]
        .filter(Boolean)
        .join(', ')
    default:
      return ''
  }
}
