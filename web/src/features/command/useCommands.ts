import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { useRouter } from 'vue-router'
import { questions } from '@/api/queries'
import { downloadBackup } from '@/features/session/downloadBackup'
import { useJourneyStore } from '@/features/workbench/journeyStore'
import { useSelection } from '@/features/workbench/selectionStore'

/** Something that can be gone to or done from anywhere. */
export interface Command {
  kind: 'action' | 'step' | 'journey' | 'run' | 'message' | 'strand'
  id: string
  name: string
  /** What tells it from others of its name. */
  note: string
  go: () => unknown
}

const MOST = 40

/** All that fits some words, in any order: what can be done, then the open journey's steps. */
export function useCommands(words: Ref<string>) {
  const router = useRouter()
  const store = useJourneyStore()
  const selection = useSelection()
  const names = useQuery(questions.names())
  const messages = useQuery(questions.messages())
  const strands = useQuery(questions.strands())
  const runs = useInfiniteQuery(questions.runs(null))

  const open = computed(() => (store.ofStrand ? null : store.view))

  function toJourney(id: number, step?: string) {
    if (step && open.value?.id === id) selection.select(step)
    return router.push({ name: 'workbench', params: { id }, query: step ? { step } : {} })
  }

  function toMessage(id: string) {
    return router.push({ name: 'composer', params: { id } })
  }

  const actions = computed<Command[]>(() => {
    const journey = open.value
    const about = journey ? journey.journey.name : ''
    const go =
      (name: string, query = {}) =>
      () =>
        router.push({ name, params: { id: journey!.id }, query })
    return [
      action('journeys', 'All journeys', '', () => router.push('/journeys')),
      action('new', 'New journey', '', () =>
        router.push({ path: '/journeys', query: { new: '1' } }),
      ),
      action('messages', 'Messages', '', () => router.push('/messages')),
      action('inbox', 'Inbox of the stand-in mail server', '', () =>
        router.push('/messages/inbox'),
      ),
      action('style', 'House style', '', () => router.push('/messages/house-style')),
      action('people', 'People', '', () => router.push('/people')),
      action('entrances', 'Entrances', 'sign-up forms', () => router.push('/entrances')),
      action('calendar', 'Calendar', 'what goes out when, newsletters', () =>
        router.push('/calendar'),
      ),
      action('side', 'Side by side', '', () => router.push('/side-by-side')),
      action('glasshouse', 'Glasshouse', 'what runs now', () => router.push('/glasshouse')),
      ...(journey
        ? [
            action('sheet', 'Run sheet', about, go('workbench')),
            action('walk', 'Walk one person', about, go('walk')),
            action('dry-run', 'Dry run', about, go('dry-run')),
            action('run-now', 'Dry run now', about, go('dry-run', { run: 'new' })),
          ]
        : []),
      action('backup', 'Download a backup', '', downloadBackup),
    ]
  })

  function action(id: string, name: string, note: string, go: () => unknown): Command {
    return { kind: 'action', id, name, note, go }
  }

  const all = computed<Command[]>(() => [
    ...actions.value,
    ...(open.value?.sheet.rows ?? []).map((row) => ({
      kind: 'step' as const,
      id: row.id,
      name: row.sentence.spans.map((span) => span.text).join(''),
      note: open.value!.journey.name,
      go: () => toJourney(open.value!.id, row.id),
    })),
    ...(names.data.value ?? []).map((one) => ({
      kind: 'journey' as const,
      id: String(one.id),
      name: one.name,
      note: '',
      go: () => toJourney(one.id),
    })),
    ...(strands.data.value ?? []).map(({ document }) => ({
      kind: 'strand' as const,
      id: document.id,
      name: document.name,
      note: '',
      go: () => router.push({ name: 'strand', params: { id: document.id } }),
    })),
    ...(runs.data.value?.pages ?? [])
      .flatMap((page) => page.runs)
      .map((run) => ({
        kind: 'run' as const,
        id: `${run.id}.${run.journeyId}`,
        name: run.name ?? `Dry run ${run.id}`,
        note: `${run.journeyName} v${run.journeyVersion}`,
        go: () =>
          router.push({ name: 'dry-run', params: { id: run.journeyId }, query: { run: run.id } }),
      })),
    ...(messages.data.value ?? []).map((message) => ({
      kind: 'message' as const,
      id: message.id,
      name: message.name,
      note: message.content.kind === 'text' ? 'text' : 'email',
      go: () => toMessage(message.id),
    })),
  ])

  const found = computed(() => {
    const wanted = words.value.toLowerCase().split(/\s+/).filter(Boolean)
    return all.value
      .filter((one) => {
        const text = `${one.kind} ${one.name} ${one.note}`.toLowerCase()
        return wanted.every((word) => text.includes(word))
      })
      .slice(0, MOST)
  })

  return { found }
}
