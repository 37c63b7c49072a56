import type {
  FieldFormat,
  FieldSource,
  LineDocument,
  MergeField,
  PartDocument,
  TargetDocument,
} from '@/api/types'

/** What the kinds of parts are called, in the order in which they are offered. */
export const KINDS: Record<PartDocument['kind'], string> = {
  prose: 'text',
  button: 'button',
  picture: 'picture',
  columns: 'columns',
  passage: 'passage',
  rule: 'rule',
  space: 'space',
  products: 'products',
  voucher: 'voucher',
  news: 'news',
  countdown: 'countdown',
  film: 'film',
  linkRow: 'links',
  ownHtml: 'own HTML',
}

const SOURCES: Record<FieldSource['kind'], string> = {
  firstName: 'first name',
  lastName: 'last name',
  address: 'email address',
  ofField: 'field',
  senderName: 'sender',
  accountName: 'account',
  cartTotal: 'cart total',
  orderTotal: 'order total',
  today: 'today',
}

export const FORMATS: Record<FieldFormat, string> = {
  USUAL: 'as usual',
  CAPITAL: 'with a capital letter',
  DAY_AND_MONTH: 'day and month',
  WEEKDAY: 'weekday',
  WHOLE: 'whole number',
  AMOUNT: 'amount of money',
}

/** The sources that are not fields of the record. */
export const OWN_SOURCES = Object.keys(SOURCES).filter((kind) => kind !== 'ofField') as Exclude<
  FieldSource['kind'],
  'ofField'
>[]

export function sourceName(source: FieldSource): string {
  return source.kind === 'ofField' ? source.field : SOURCES[source.kind]
}

/** As it stands on a chip: first name ▸ "keeper". */
export function chipText(field: MergeField): string {
  const shape = field.format === 'USUAL' ? '' : `, ${FORMATS[field.format]}`
  return `${sourceName(field.source)}${shape} ▸ ${field.fallback ? `“${field.fallback}”` : 'nothing'}`
}

/** Whether somebody could see a hole there. */
export function mayBeHole(field: MergeField): boolean {
  return (
    !field.fallback &&
    !['address', 'senderName', 'accountName', 'today'].includes(field.source.kind)
  )
}

/** A line as plain words, each field by its fallback. */
export function plainWords(line: LineDocument): string {
  return line.words
    .map((one) => {
      if (one.kind === 'words') return one.text
      if (one.kind === 'break') return ' '
      return one.field.fallback || sourceName(one.field.source)
    })
    .join('')
}

export function lineOf(text: string): LineDocument {
  return {
    words: text ? [{ kind: 'words', text, bold: false, italic: false, link: null }] : [],
  }
}

export function targetWords(to: TargetDocument | null): string {
  if (!to) return 'to nowhere yet'
  switch (to.kind) {
    case 'web':
      return `to ${to.address || 'nowhere yet'}`
    case 'keptFile':
      return `to file ${to.file}`
    case 'cart':
      return 'to their cart'
    case 'choices':
      return 'to their choices'
    case 'unsubscribe':
      return 'to unsubscribe'
  }
}
