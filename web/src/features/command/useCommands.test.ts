import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { within } from '@/testing'
import { useCommands } from './useCommands'
import { json } from '@/api/testClient'

const ANSWERS: Record<string, unknown> = {
  '/api/journeys/names': [
    { id: 1, name: 'First frames' },
    { id: 2, name: 'Through the season' },
  ],
  '/api/messages': [
    { id: 'm1', name: 'A jar on us', content: { kind: 'email', subject: 'x' } },
    { id: 't1', name: 'Come by', content: { kind: 'text', words: 'y' } },
  ],
  '/api/strands': [{ version: 1, document: { id: 'spring', name: 'Spring work', body: [] } }],
  '/api/dry-runs': {
    total: 1,
    runs: [
      { id: 4, journeyId: 2, journeyName: 'Through the season', journeyVersion: 3, name: null },
    ],
  },
}

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const fetch = async (request: Request) => json(ANSWERS[new URL(request.url).pathname] ?? [])
  return answeredBy(original, fetch)
})

const words = ref('')
let found: ReturnType<typeof useCommands>['found']
beforeEach(async () => {
  words.value = ''
  found = within(() => useCommands(words)).found
  await flushPromises()
})
const names = () => found.value.map((one) => `${one.kind} ${one.name}`)

describe('going anywhere', () => {
  it('offers what can be done first, and then everything that is there', () => {
    expect(names().slice(0, 2)).toEqual(['action All journeys', 'action New journey'])
    expect(names()).toContain('action People')
    for (const one of [
      'journey First frames',
      'strand Spring work',
      'run Dry run 4',
      'message A jar on us',
    ]) {
      expect(names()).toContain(one)
    }
  })

  it('finds by words in any order, kinds among them', () => {
    words.value = 'season through'
    expect(names()).toEqual(['journey Through the season', 'run Dry run 4'])
    words.value = 'run season'
    expect(names()).toEqual(['run Dry run 4'])
    words.value = 'TEXT'
    expect(names()).toEqual(['message Come by'])
    words.value = 'no such thing'
    expect(names()).toEqual([])
  })

  it('has no actions of a journey while none is open', () => {
    words.value = 'walk'
    expect(names()).toEqual([])
  })
})
