import { useDebounceFn } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import { answerOf, api, reasonOf } from '@/api/client'
import type { JourneyDocument, ReadingView } from '@/api/types'

/** How long what was read while typing still holds: names may come to be elsewhere. */
const FRESH_MILLIS = 10_000

/** Keeps typing light; a reading itself takes a few milliseconds. */
const PAUSE_MILLIS = 50

/** What a sentence is about: which row of which journey, and whether it takes the row's place. */
export interface About {
  id: number
  journey: JourneyDocument
  row: string
  replaces: boolean
}

interface Read {
  about: About
  text: string
  view: ReadingView
  at: number
}

function same(one: About, other: About): boolean {
  return (
    one.id === other.id &&
    one.journey === other.journey &&
    one.row === other.row &&
    one.replaces === other.replaces
  )
}

/** Lets the server read a sentence while it is typed; an older answer never replaces a newer one. */
export function useReading(about: () => About) {
  const last = shallowRef<Read | null>(null)
  const trouble = ref<string | null>(null)
  let newest = 0

  async function read(text: string, caret: number): Promise<ReadingView | null> {
    const number = ++newest
    const asked = about()
    const { id, journey, row, replaces } = asked
    try {
      const view = await answerOf(
        api.POST('/api/journeys/{id}/readings', {
          params: { path: { id } },
          body: { journey, row, replaces, text, caret },
        }),
      )
      if (number === newest) {
        last.value = { about: asked, text, view, at: Date.now() }
        trouble.value = null
      }
      return view
    } catch (failure) {
      if (number === newest) trouble.value = reasonOf(failure)
      return null
    }
  }

  const afterPause = useDebounceFn(async (asked: number, text: string, caret: number) => {
    if (asked === newest) await read(text, caret)
  }, PAUSE_MILLIS)

  /** Reads after a pause, unless something else is asked or all is forgotten before. */
  function readSoon(text: string, caret: number) {
    return afterPause(++newest, text, caret)
  }

  /** The reading of exactly this text in the journey as it is now: at once if it was just read. */
  async function readNow(text: string): Promise<ReadingView | null> {
    const there = last.value
    const holds =
      there?.text === text && same(there.about, about()) && Date.now() - there.at < FRESH_MILLIS
    if (holds) newest++
    return holds ? there.view : read(text, text.length)
  }

  function forget(): void {
    newest++
    last.value = null
    trouble.value = null
  }

  return { last, trouble, readSoon, readNow, forget }
}
