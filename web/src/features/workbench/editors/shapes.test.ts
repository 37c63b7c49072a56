import { describe, expect, it } from 'vitest'
import { beginning, fitted, namesIn, ofKind, part, shapeOf, type Schema } from './shapes'
import { kindWords, spokenWords } from './words'

const FAMILIES = [
  'Trigger',
  'ReEntry',
  'Condition',
  'WaitRule',
  'RecordChange',
  'Notice',
  'Operand',
  'IfPast',
  'EmailRef',
]

/** Every kind of every family. */
const kinds = FAMILIES.flatMap((family) => {
  const shape = shapeOf(part(family))
  return shape.type === 'oneOf' ? shape.kinds.map((one) => ({ family, ...one })) : []
})

/** Whether a value has just the fields that its schema says. */
function fits(schema: Schema, value: unknown): boolean {
  const shape = shapeOf(schema)
  if (shape.type === 'maybe') return value === null || fits(shape.of, value)
  if (shape.type === 'oneOf') {
    const kind = (value as { kind: string }).kind
    const chosen = shape.kinds.find((one) => one.kind === kind)
    return chosen !== undefined && fits(part(chosen.part), value)
  }
  if (shape.type === 'list') {
    return Array.isArray(value) && value.every((one) => fits(shape.item, one))
  }
  if (shape.type === 'fields') {
    const fields = { ...(value as Record<string, unknown>) }
    delete fields.kind
    return (
      shape.fields.every((field) => fits(field.schema, fields[field.name])) &&
      Object.keys(fields).length === shape.fields.length
    )
  }
  if (shape.type === 'choice') return shape.values.includes(value as string)
  if (shape.type === 'number') return Number.isFinite(value)
  return shape.type === 'truth' ? typeof value === 'boolean' : typeof value === 'string'
}

describe('the parts of a journey', () => {
  it('are all there', () => {
    expect(kinds.length).toBeGreaterThan(55)
  })

  it('can be begun in every kind, whole', () => {
    for (const one of kinds) {
      expect(fits(part(one.family), ofKind(one.part, {})), one.part).toBe(true)
    }
  })

  it('keep what they have in common when the kind changes', () => {
    const before = { kind: 'addTag', tag: 'keeper' }
    expect(ofKind('RecordChangeRemoveTag', {}, before)).toEqual({
      kind: 'removeTag',
      tag: 'keeper',
    })
    expect(ofKind('RecordChangeJoinList', {}, before)).toEqual({
      kind: 'joinList',
      list: 'new list',
    })
  })

  it('take as many values as the comparison needs', () => {
    const values = [{ kind: 'number', number: 1 }]
    const field = { kind: 'field', field: 'hives', is: 'BETWEEN', values }
    expect(fitted(field).values).toHaveLength(2)
    expect(fitted({ ...field, is: 'IS_EMPTY' }).values).toHaveLength(0)
    expect(fitted({ kind: 'moveToList', list: 'a', from: [] }).from).toEqual(['old list'])
  })

  it('begin with what the account knows', () => {
    expect(beginning(part('MessageId'), { MessageId: 'planner' })).toBe('planner')
    expect(beginning(part('TagName'), {})).toBe('new tag')
  })

  it('all have words of their own', () => {
    const joined = ['ConditionAll', 'ConditionAny', 'ConditionNone']
    for (const one of kinds.filter((kind) => !joined.includes(kind.part))) {
      expect(kindWords(one.part), one.part).not.toContain(one.family)
      const shape = shapeOf(part(one.part))
      if (shape.type !== 'fields') continue
      for (const field of shape.fields) expect(spokenWords(one.part, field.name)).not.toBe('')
    }
  })
})

describe('names in a part', () => {
  it('are found by what its schema says, not by how fields are called', () => {
    const change = {
      kind: 'change',
      id: 'tag',
      changes: [
        { kind: 'addTag', tag: 'list' },
        { kind: 'moveToList', list: 'new', from: ['old'] },
        { kind: 'setField', field: 'town', value: { kind: 'words', text: 'tag' } },
      ],
    }
    expect(namesIn(part('Step'), change, 'ListName')).toEqual(['old', 'new'])
    expect(namesIn(part('Step'), change, 'TagName')).toEqual(['list'])
    expect(namesIn(part('Step'), change, 'FieldName')).toEqual(['town'])
  })
})
