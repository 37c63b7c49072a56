import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { ref, shallowRef } from 'vue'
import type { BehaviourDocument, JourneyView } from '@/api/types'
import { within } from '@/testing'
import { useAssumptions } from './useAssumptions'

const saves: { version: number; behaviour: BehaviourDocument }[] = []
let refuses = false

vi.mock('@/api/client', () => ({
  api: {
    PUT: (_: string, { body }: { body: (typeof saves)[number] }) => {
      if (refuses) return Promise.reject(new Error('Somebody else was faster.'))
      saves.push(body)
      return Promise.resolve(journeyOf(body.behaviour, body.version + 1))
    },
  },
  answerOf: (asked: Promise<unknown>) => asked,
  reasonOf: (failure: Error) => failure.message,
}))

const hours = (value: number) => ({ openMedianHours: { value } }) as BehaviourDocument
const journeyOf = (behaviour: BehaviourDocument, behaviourVersion: number) =>
  ({ id: 7, behaviour, behaviourVersion }) as JourneyView

function assuming(now = journeyOf(hours(3), 1)) {
  const journey = shallowRef<JourneyView | null>(now)
  const failure = ref<string | null>(null)
  return { journey, failure, ...within(() => useAssumptions(journey, failure)) }
}

beforeEach(() => {
  saves.length = 0
  refuses = false
  sessionStorage.clear()
})

it('saves one change after another, and takes them back by the same way', async () => {
  const { journey, change, edits } = assuming()
  change(hours(4))
  change(hours(5))
  expect(journey.value?.behaviour).toEqual(hours(5))
  await flushPromises()
  expect(saves.map((one) => one.version)).toEqual([1, 2])
  edits.undo()
  expect(journey.value?.behaviour).toEqual(hours(4))
  await flushPromises()
  edits.undo()
  edits.redo()
  await flushPromises()
  expect(saves.map((one) => one.behaviour)).toEqual([4, 5, 4, 3, 4].map(hours))
})

it('can undo after a reload, unless somebody has changed them since', async () => {
  const first = assuming()
  first.change(hours(4))
  await flushPromises()
  const again = assuming(journeyOf(hours(4), 2))
  again.recall()
  expect(again.edits.canUndo).toBe(true)
  again.edits.undo()
  expect(again.journey.value?.behaviour).toEqual(hours(3))
  await flushPromises()
  const changed = assuming(journeyOf(hours(9), 5))
  changed.recall()
  expect(changed.edits.canUndo).toBe(false)
})

it('shows what is saved when a save is refused, and says why', async () => {
  const { journey, failure, change, edits } = assuming()
  refuses = true
  change(hours(4))
  await flushPromises()
  expect(journey.value?.behaviour).toEqual(hours(3))
  expect(failure.value).toBe('Somebody else was faster.')
  expect(edits.canUndo).toBe(false)
})
