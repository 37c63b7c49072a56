import type { MenuChoice } from '@/ui/DropMenu.vue'
import { useJourneyStore } from './journeyStore'
import { useLibrary } from './useLibrary'
import { contentOf, type MessageKind } from './newSteps'
import type { Details } from './useArrangements'

export type SeriesAction = 'TRY_AGAIN' | 'TEXT_THE_REST' | 'REMIND'

const TEXT_HOURS = 12
const REMINDER_DAYS = 7

/** Runs of steps that people write again and again. */
export const SERIES: MenuChoice[] = [
  { id: 'TRY_AGAIN 1', name: 'Try again, new subject', note: 'for those who have not opened it' },
  { id: 'TRY_AGAIN 2', name: 'Try again twice' },
  { id: 'TRY_AGAIN 3', name: 'Try again three times' },
  {
    id: `TEXT_THE_REST ${TEXT_HOURS}`,
    name: `Follow up by text after ${TEXT_HOURS} hours`,
    note: 'those who have not opened it',
  },
  {
    id: `REMIND ${REMINDER_DAYS}`,
    name: `Remind ${REMINDER_DAYS} days before a date`,
    note: 'and on the day',
  },
]

/** What a series needs besides its place: a message or a field that is there, or a new one. */
export function useSeries() {
  const store = useJourneyStore()
  const { messages, addMessage, knownNames } = useLibrary()

  async function messageOf(kind: MessageKind, name: string): Promise<string> {
    const known = messages.value.find((one) => one.content.kind === kind && one.name === name)
    return (known ?? (await addMessage(name, contentOf(kind, name)))).id
  }

  async function details(id: string): Promise<[SeriesAction, Details]> {
    const [action, number] = id.split(' ') as [SeriesAction, string]
    const series: Details = { number: Number(number) }
    if (action === 'TEXT_THE_REST') {
      series.message = await messageOf('text', `In short: ${store.journey?.name}`.slice(0, 80))
    }
    if (action === 'REMIND') {
      series.message = await messageOf('email', `Reminder: ${store.journey?.name}`.slice(0, 80))
      series.field = knownNames('FieldName')[0] ?? 'renewal'
    }
    return [action, series]
  }

  return { details }
}
