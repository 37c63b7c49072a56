import openapi from '@/api/openapi.json'

/**
 * What the parts of a journey are made of, by the API's own description: so every kind of trigger,
 * wait, question and change can be edited, and a new kind needs no editor of its own.
 */

export interface Schema {
  $ref?: string
  type?: string | string[]
  format?: string
  enum?: (string | null)[]
  const?: string
  items?: Schema
  uniqueItems?: boolean
  anyOf?: Schema[]
  oneOf?: Schema[]
  properties?: Record<string, Schema>
}

export type Value = unknown
export type Fields = Record<string, Value>

export interface Field {
  name: string
  schema: Schema
}

export type Shape =
  | { type: 'oneOf'; kinds: { kind: string; part: string }[] }
  | { type: 'fields'; fields: Field[] }
  | { type: 'list'; item: Schema }
  | { type: 'maybe'; of: Schema }
  | { type: 'choice'; values: string[] }
  | { type: 'text' | 'number' | 'truth' | 'date' | 'clock' | 'zone' | 'sender' }

const PARTS = openapi.components.schemas as unknown as Record<string, Schema>

/** A part by its name in the API. */
export function part(name: string): Schema {
  return { $ref: `#/components/schemas/${name}` }
}

/** The name that a reference goes to; null for what has none. */
export function nameOf(schema: Schema): string | null {
  return schema.$ref?.split('/').at(-1) ?? null
}

export function shapeOf(schema: Schema): Shape {
  const name = nameOf(schema)
  const of = name ? PARTS[name]! : schema
  if (of.anyOf) return { type: 'maybe', of: of.anyOf[0]! }
  if (of.oneOf) {
    const kinds = of.oneOf.map((one) => nameOf(one)!)
    return { type: 'oneOf', kinds: kinds.map((one) => ({ kind: kindOf(one), part: one })) }
  }
  if (of.properties) return { type: 'fields', fields: fieldsOf(name!) }
  if (of.enum) return { type: 'choice', values: of.enum.filter((one) => one !== null) }
  if (of.type === 'array') return { type: 'list', item: of.items! }
  if (of.type === 'boolean') return { type: 'truth' }
  if (of.type === 'number' || of.type === 'integer') return { type: 'number' }
  if (of.format === 'date') return { type: 'date' }
  if (of.format === 'clock') return { type: 'clock' }
  if (of.format === 'sender') return { type: 'sender' }
  return { type: of.format === 'time-zone' ? 'zone' : 'text' }
}

function kindOf(name: string): string {
  return PARTS[name]!.properties!.kind!.const!
}

/** The fields of a part, without its kind. */
export function fieldsOf(name: string): Field[] {
  return Object.entries(PARTS[name]!.properties ?? {})
    .filter(([field]) => field !== 'kind')
    .map(([field, schema]) => ({ name: field, schema }))
}

export const WEEKDAYS = [
  'MONDAY',
  'TUESDAY',
  'WEDNESDAY',
  'THURSDAY',
  'FRIDAY',
  'SATURDAY',
  'SUNDAY',
] as const

/** What names begin as, until somebody says. */
const BEGINNINGS: Record<string, Value> = {
  TagName: 'new tag',
  ListName: 'new list',
  FormName: 'Sign-up form',
  SegmentName: 'new segment',
  FieldName: 'new field',
  EventName: 'new event',
  AttributeName: 'new attribute',
  ProductName: 'new product',
  CategoryName: 'new category',
  JourneyName: 'Another journey',
  LinkName: 'new link',
  StepId: '',
  Amount: { count: 1, unit: 'DAYS' },
  Condition: { kind: 'hasTag', tag: 'new tag' },
  IfPast: { kind: 'goOn' },
  SendWindow: { days: [...WEEKDAYS], from: '08:00', to: '20:00' },
  FrequencyGuard: { most: 4, days: 7, then: 'HOLD', countsTexts: false },
  Operand: { kind: 'words', text: 'a value' },
}

/** Values of the right kind to begin with; what is known of the account comes first. */
export type Known = Partial<Record<string, Value>>

export function beginning(schema: Schema, known: Known): Value {
  const name = nameOf(schema)
  if (name && known[name] !== undefined) return known[name]
  if (name && name in BEGINNINGS) return BEGINNINGS[name]
  const shape = shapeOf(schema)
  switch (shape.type) {
    case 'oneOf':
      return ofKind(shape.kinds[0]!.part, known)
    case 'fields':
      return fitted(fieldValues(shape.fields, known))
    case 'list':
      return nameOf(shape.item) === 'DayOfWeek' ? [...WEEKDAYS] : []
    case 'maybe':
      return null
    case 'choice':
      return shape.values[0]
    case 'number':
      return 1
    case 'truth':
      return false
    case 'date':
      return new Date(Date.now() + 7 * 86_400_000).toISOString().slice(0, 10)
    case 'clock':
      return '09:00'
    case 'zone':
      return 'Europe/Berlin'
    case 'sender':
    case 'text':
      return 'text'
  }
}

/** A part of one kind to begin with, keeping from another what has the same name and form. */
export function ofKind(name: string, known: Known, keep: Fields = {}): Fields {
  const fields = fieldsOf(name)
  const begun = fieldValues(fields, known)
  const kept = Object.fromEntries(
    fields
      .filter((field) => field.name in keep && typeof keep[field.name] === typeof begun[field.name])
      .map((field) => [field.name, keep[field.name]]),
  )
  const kind = PARTS[name]!.properties?.kind?.const
  return fitted({ ...(kind ? { kind } : {}), ...begun, ...kept })
}

function fieldValues(fields: Field[], known: Known): Fields {
  return Object.fromEntries(fields.map((field) => [field.name, beginning(field.schema, known)]))
}

/** A comparison takes none, one or two values; a move leaves at least one list. */
export function fitted(value: Fields): Fields {
  if ('is' in value && 'values' in value) {
    const count = value.is === 'IS_EMPTY' ? 0 : value.is === 'BETWEEN' ? 2 : 1
    const values = [...(value.values as Value[])]
    while (values.length < count) values.push(values.at(-1) ?? BEGINNINGS.Operand)
    return { ...value, values: values.slice(0, count) }
  }
  if (value.kind === 'moveToList' && (value.from as string[]).length === 0) {
    return { ...value, from: ['old list'] }
  }
  return value
}

/** The names of one type that stand in a part, by what its schema says; some may stand twice. */
export function namesIn(schema: Schema, value: Value, type: string): string[] {
  if (value === null || value === undefined) return []
  if (nameOf(schema) === type) return [value as string]
  const shape = shapeOf(schema)
  switch (shape.type) {
    case 'maybe':
      return namesIn(shape.of, value, type)
    case 'list':
      return (value as Value[]).flatMap((one) => namesIn(shape.item, one, type))
    case 'oneOf': {
      const chosen = shape.kinds.find((one) => one.kind === (value as Fields).kind)
      return chosen ? namesIn(part(chosen.part), value, type) : []
    }
    case 'fields':
      return shape.fields.flatMap((field) =>
        namesIn(field.schema, (value as Fields)[field.name], type),
      )
    default:
      return []
  }
}
