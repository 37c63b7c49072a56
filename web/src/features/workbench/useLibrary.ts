import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { answerOf, api } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type {
  MessageView,
  NameKind,
  SegmentDocument,
  StrandDocument,
  UnderstoodView,
} from '@/api/types'
import { namesIn, part } from './editors/shapes'
import { useJourneyStore } from './journeyStore'

/** The types of the names that are registered. */
const TYPES: Record<NameKind, string> = {
  TAG: 'TagName',
  LIST: 'ListName',
  FIELD: 'FieldName',
  FORM: 'FormName',
  PRODUCT: 'ProductName',
  CATEGORY: 'CategoryName',
  EVENT: 'EventName',
}

/** What journeys refer to: messages, strands, segments, each other, and names that are in use. */
export function useLibrary() {
  const store = useJourneyStore()
  const kept = useQuery(questions.messages())
  const strandsKept = useQuery(questions.strands())
  const segmentsKept = useQuery(questions.segments())
  const names = useQuery(questions.names())
  const registered = useQuery(questions.registeredNames())

  const messages = computed<MessageView[]>(() => kept.data.value ?? [])
  const strands = computed<StrandDocument[]>(
    () => strandsKept.data.value?.map((one) => one.document) ?? [],
  )
  const segments = computed<SegmentDocument[]>(
    () => segmentsKept.data.value?.map((one) => one.document) ?? [],
  )
  /** The names of the other journeys, to hand people over to. */
  const otherJourneys = computed(
    () => names.data.value?.filter((one) => one.id !== store.view?.id).map((one) => one.name) ?? [],
  )

  async function addMessage(name: string, content: MessageView['content']): Promise<MessageView> {
    const added = await answerOf(
      api.POST('/api/messages', {
        body: { name, content, links: [], voucher: false, version: null },
      }),
    )
    await outdated('library')
    return added
  }

  /** Writes the messages that a typed sentence brings along: new ones, and those that get a link. */
  async function writeMessages(some: UnderstoodView['messages']): Promise<void> {
    for (const { id, ...message } of some) {
      const there = messages.value.find((one) => one.id === id)
      await answerOf(
        api.PUT('/api/messages/{id}', {
          params: { path: { id } },
          body: { ...message, voucher: there?.voucher ?? false, version: there?.version ?? null },
        }),
      )
    }
    if (some.length) await outdated('library')
  }

  async function saveMessage(message: MessageView): Promise<void> {
    const { id, name, content, links, voucher, version } = message
    const body = { name, content, links, voucher, version }
    await answerOf(api.PUT('/api/messages/{id}', { params: { path: { id } }, body }))
    await Promise.all([outdated('library'), store.lookAnew()])
    await outdated('estimate')
  }

  /** The names of one type that the account already uses. */
  function knownNames(type: string): string[] {
    if (type === 'LinkName') return [...new Set(messages.value.flatMap((one) => one.links))]
    if (type === 'SegmentName') return segments.value.map((one) => one.name)
    if (type === 'JourneyName') return otherJourneys.value
    const groups = store.view?.behaviour.groups ?? []
    const held: Record<string, string[]> = {
      FieldName: groups.flatMap((group) => Object.keys(group.fields)),
      EventName: groups.flatMap((group) => Object.keys(group.events)),
    }
    const named = [
      ...namesIn(part('Journey'), store.journey, type),
      ...groups.flatMap((group) => namesIn(part('AudienceGroup'), group, type)),
      ...(held[type] ?? []),
      ...(registered.data.value ?? [])
        .filter((one) => TYPES[one.kind] === type)
        .map((one) => one.name),
    ]
    return [...new Set(named)].sort()
  }

  return {
    messages,
    strands,
    segments,
    otherJourneys,
    addMessage,
    writeMessages,
    saveMessage,
    knownNames,
  }
}
