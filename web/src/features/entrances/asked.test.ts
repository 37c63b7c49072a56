import { expect, it } from 'vitest'
import { fresh, named, nameOf, stillToAsk } from './asked'

it('offers only what is not asked yet', () => {
  const asks = [
    fresh('firstName'),
    { kind: 'field' as const, field: 'hives', words: '', required: false },
  ]
  expect(stillToAsk(asks).map((one) => one.kind)).toEqual(['lastName', 'phone', 'texts'])
  expect(asks.map(nameOf)).toEqual(['First name', 'Field hives'])
})

it('reads names with commas between, each once', () => {
  expect(named(' Newcomers, Members ,, Newcomers')).toEqual(['Newcomers', 'Members'])
  expect(named(' ')).toEqual([])
})
