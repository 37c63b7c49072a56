import type { AskedDocument } from '@/api/types'

/** What a form can ask once besides the address. */
export const ONCE = [
  { kind: 'firstName', name: 'First name' },
  { kind: 'lastName', name: 'Last name' },
  { kind: 'phone', name: 'Phone number' },
  { kind: 'texts', name: 'Agreement to texts' },
] as const

export function nameOf(asked: AskedDocument): string {
  return asked.kind === 'field'
    ? `Field ${asked.field}`
    : ONCE.find((one) => one.kind === asked.kind)!.name
}

/** What can still be asked. */
export function stillToAsk(asks: readonly AskedDocument[]) {
  return ONCE.filter((one) => !asks.some((asked) => asked.kind === one.kind))
}

export function fresh(kind: (typeof ONCE)[number]['kind']): AskedDocument {
  return kind === 'texts'
    ? { kind, words: 'You may send me texts.' }
    : { kind, required: kind === 'firstName' }
}

/** Names that are typed in one line, with commas between. */
export function named(line: string): string[] {
  return [...new Set(line.split(',').map((one) => one.trim()))].filter((one) => one)
}
