import type { PartDocument } from '@/api/types'
import { lineOf } from './words'

interface NewPart {
  id: string
  name: string
  note?: string
  make: (id: string) => PartDocument
}

const NOWHERE = { to: null, name: null }

/** The parts that can be chosen from a list, in groups; what is typed comes to the same. */
export const NEW_PARTS: NewPart[][] = [
  [
    {
      id: 'text',
      name: 'Text',
      note: 'paragraphs, headings, lists',
      make: (id) => ({ kind: 'prose', id, blocks: [] }),
    },
    {
      id: 'button',
      name: 'Button',
      make: (id) => ({ kind: 'button', id, words: lineOf(''), link: NOWHERE }),
    },
    {
      id: 'picture',
      name: 'Picture',
      make: (id) => ({ kind: 'picture', id, file: null, words: '', link: null, percent: 100 }),
    },
    {
      id: 'film',
      name: 'Film',
      note: 'a picture that leads to it',
      make: (id) => ({ kind: 'film', id, picture: null, words: '', link: NOWHERE }),
    },
  ],
  [
    {
      id: 'two',
      name: 'Two columns',
      make: (id) => ({ kind: 'columns', id, columns: [{ parts: [] }, { parts: [] }] }),
    },
    {
      id: 'three',
      name: 'Three columns',
      make: (id) => ({
        kind: 'columns',
        id,
        columns: [{ parts: [] }, { parts: [] }, { parts: [] }],
      }),
    },
    {
      id: 'passage',
      name: 'Passage',
      note: 'only for some',
      make: (id) => ({
        kind: 'passage',
        id,
        who: { kind: 'all', parts: [] },
        parts: [],
        otherwise: [],
      }),
    },
    { id: 'rule', name: 'Rule', make: (id) => ({ kind: 'rule', id }) },
    { id: 'space', name: 'Space', make: (id) => ({ kind: 'space', id, height: 24 }) },
  ],
  [
    {
      id: 'cart',
      name: 'Products from the cart',
      make: (id) => ({ kind: 'products', id, which: { kind: 'inCart' }, most: 3 }),
    },
    {
      id: 'bought',
      name: 'Products they bought',
      make: (id) => ({ kind: 'products', id, which: { kind: 'bought' }, most: 3 }),
    },
    {
      id: 'products',
      name: 'Products you choose',
      make: (id) => ({ kind: 'products', id, which: { kind: 'chosen', products: [] }, most: 3 }),
    },
    {
      id: 'voucher',
      name: 'Voucher',
      make: (id) => ({ kind: 'voucher', id, code: '', worth: '', until: null }),
    },
    { id: 'news', name: 'News', make: (id) => ({ kind: 'news', id, most: 5 }) },
    {
      id: 'countdown',
      name: 'Countdown',
      make: (id) => ({ kind: 'countdown', id, until: null, words: '' }),
    },
  ],
  [
    { id: 'links', name: 'Row of links', make: (id) => ({ kind: 'linkRow', id, links: [] }) },
    { id: 'html', name: 'Own HTML', make: (id) => ({ kind: 'ownHtml', id, html: '' }) },
  ],
]

export function newPart(kind: string, id: string): PartDocument {
  return NEW_PARTS.flat()
    .find((one) => one.id === kind)!
    .make(id)
}
