import {
  infiniteQueryOptions,
  keepPreviousData,
  QueryClient,
  queryOptions,
} from '@tanstack/vue-query'
import { answerOf, api, Refused } from './client'
import type {
  ActView,
  BehaviourDocument,
  CohortPlan,
  ComparedBy,
  QuickLook,
  ChoicesPageDocument,
  EntranceDocument,
  NewsDocument,
  NewsletterDocument,
  HouseStyleDocument,
  ManuscriptDocument,
  ManyOrder,
  Walker,
  PeopleOrder,
  TableOrder,
  SearchWish,
} from './types'

/**
 * What fails says so at once; to try again is up to whoever reads it. Only while the data is being
 * opened anew, which takes a moment, is it asked for again.
 */
function untilReopened(tries: number, failure: unknown): boolean {
  return tries < 10 && failure instanceof Refused && failure.problem.code === 'storage-reopening'
}

/**
 * What the server knows, by what it is asked for. Answers are kept and shared: whoever shows the
 * same thing asks once. Whoever changes something says which answers are no longer true, by the
 * first words of their keys.
 */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      retry: untilReopened,
      retryDelay: 500,
      refetchOnWindowFocus: false,
      networkMode: 'always',
      /* Answers are replaced whole, never written into: nothing in them needs watching. */
      shallow: true,
    },
    mutations: { networkMode: 'always' },
  },
})

/** Says that answers are no longer true; those that are on the screen are asked for anew. */
export async function outdated(...key: readonly unknown[]): Promise<void> {
  /* A first answer that is on its way is waited for, not asked for again; but it may be from before. */
  const early = queryClient
    .getQueryCache()
    .findAll({ queryKey: key, fetchStatus: 'fetching' })
    .filter((one) => one.state.data === undefined)
  await queryClient.invalidateQueries({ queryKey: key })
  if (early.length) await queryClient.invalidateQueries({ predicate: (one) => early.includes(one) })
}

/** What only changes here, where that is said; asked for anew now and then all the same. */
const FOR_A_MINUTE = { staleTime: 60_000 }

/** A kept run never changes by itself, nor does what is worked out from it. */
const FOR_EVER = { staleTime: Infinity }

/** The number of the page behind those that are there; nothing if there is none. */
function nextPage<P extends { total: number }>(pages: P[], lines: (page: P) => number) {
  const shown = pages.reduce((count, page) => count + lines(page), 0)
  return shown < (pages.at(-1)?.total ?? 0) ? pages.length : undefined
}

/** Whether something that is done to people goes on no more. */
export function isOver(act: ActView): boolean {
  return act.state === 'DONE' || act.state === 'TAKEN_BACK'
}

/**
 * What of the calendar is asked for.
 *
 * `draft` has journeys as if they were opened, such as "12~2026-12-07~10".
 */
export interface CalendarAsked {
  from?: string
  days: number
  who: string
  draft: string[]
}

export const questions = {
  /** The journeys that fit some words, a page after another. */
  overview: (find: string, archived: boolean) =>
    infiniteQueryOptions({
      queryKey: ['journeys', 'overview', find, archived],
      queryFn: ({ pageParam, signal }) =>
        answerOf(
          api.GET('/api/journeys', {
            params: { query: { find, archived, page: pageParam } },
            signal,
          }),
        ),
      initialPageParam: 0,
      getNextPageParam: (_, all) => nextPage(all, (page) => page.journeys.length),
      placeholderData: keepPreviousData,
    }),

  /** The people whom a sentence means and in whose name or address something stands. */
  people: (find: string, search: string, order: PeopleOrder) =>
    infiniteQueryOptions({
      queryKey: ['people', 'found', find, search, order],
      queryFn: ({ pageParam, signal }) =>
        answerOf(
          api.POST('/api/people/pages', {
            body: { find, search, order, after: pageParam },
            signal,
          }),
        ),
      initialPageParam: null as number | null,
      getNextPageParam: (page) => page.next ?? undefined,
      placeholderData: keepPreviousData,
    }),

  /** What was done to many people, the newest first; asked again while something is under way. */
  acts: () =>
    queryOptions({
      queryKey: ['people', 'acts'],
      queryFn: () => answerOf(api.GET('/api/people-acts')),
      refetchInterval: ({ state }) =>
        state.data?.some((act) => !isOver(act) && !act.failure) ? 300 : false,
    }),

  registeredNames: () =>
    queryOptions({
      queryKey: ['people', 'names'],
      queryFn: () => answerOf(api.GET('/api/names')),
    }),

  /** Segments with who is in them now. */
  peopleSegments: () =>
    queryOptions({
      queryKey: ['people', 'segments'],
      queryFn: () => answerOf(api.GET('/api/people/segments')),
    }),

  /** The names that a journey uses at some version of it, and that are not registered. */
  newNames: (journey: number, version: number) =>
    queryOptions({
      queryKey: ['people', 'new-names', journey, version],
      queryFn: () =>
        answerOf(api.GET('/api/journeys/{id}/new-names', { params: { path: { id: journey } } })),
      placeholderData: keepPreviousData,
    }),

  table: (id: number) =>
    queryOptions({
      queryKey: ['tables', id],
      queryFn: () => answerOf(api.GET('/api/people-tables/{id}', { params: { path: { id } } })),
      ...FOR_EVER,
    }),

  tableCheck: (id: number, order: TableOrder) =>
    queryOptions({
      queryKey: ['tables', id, 'check', order],
      queryFn: ({ signal }) =>
        answerOf(
          api.POST('/api/people-tables/{id}/checks', {
            params: { path: { id } },
            body: order,
            signal,
          }),
        ),
      placeholderData: keepPreviousData,
    }),

  manyPreview: (order: ManyOrder) =>
    queryOptions({
      queryKey: ['people', 'many', order],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/people-acts/previews', { body: order, signal })),
      placeholderData: keepPreviousData,
    }),

  person: (id: number) =>
    queryOptions({
      queryKey: ['people', 'one', id],
      queryFn: () => answerOf(api.GET('/api/people/{id}', { params: { path: { id } } })),
    }),

  names: () =>
    queryOptions({
      queryKey: ['journeys', 'names'],
      queryFn: () => answerOf(api.GET('/api/journeys/names')),
      ...FOR_A_MINUTE,
    }),

  starters: () =>
    queryOptions({
      queryKey: ['starters'],
      queryFn: () => answerOf(api.GET('/api/starters')),
      ...FOR_EVER,
    }),

  messages: () =>
    queryOptions({
      queryKey: ['library', 'messages'],
      queryFn: () => answerOf(api.GET('/api/messages')),
      ...FOR_A_MINUTE,
    }),

  /** How a message did in the newest run of each journey that sends it. */
  messageResults: (id: string) =>
    queryOptions({
      queryKey: ['runs', 'message', id],
      queryFn: () => answerOf(api.GET('/api/messages/{id}/results', { params: { path: { id } } })),
    }),

  messageStarters: () =>
    queryOptions({
      queryKey: ['message-starters'],
      queryFn: () => answerOf(api.GET('/api/message-starters')),
      ...FOR_EVER,
    }),

  /** Messages with the journeys that send them. */
  messageUsers: () =>
    queryOptions({
      queryKey: ['journeys', 'message-users'],
      queryFn: () => answerOf(api.GET('/api/messages/uses')),
      ...FOR_A_MINUTE,
    }),

  messageDifference: (before: ManuscriptDocument, after: ManuscriptDocument) =>
    queryOptions({
      queryKey: ['message', 'difference', before, after],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/messages/differences', { body: { before, after }, signal })),
      placeholderData: keepPreviousData,
      gcTime: 10_000,
    }),

  /** A few people, to show something as one of them. */
  somePeople: () =>
    queryOptions({
      queryKey: ['people', 'some'],
      queryFn: () =>
        answerOf(
          api.POST('/api/people/pages', {
            body: { find: '', search: '', order: 'NEWEST', after: null },
          }),
        ),
    }),

  files: () =>
    queryOptions({
      queryKey: ['files'],
      queryFn: () => answerOf(api.GET('/api/files')),
      ...FOR_A_MINUTE,
    }),

  houseStyle: () =>
    queryOptions({
      queryKey: ['house-style'],
      queryFn: () => answerOf(api.GET('/api/house-style')),
    }),

  entrances: () =>
    queryOptions({
      queryKey: ['entrances'],
      queryFn: () => answerOf(api.GET('/api/entrances')),
    }),

  /** What goes out on some days; without a first day from this week's Monday on. */
  calendar: (asked: CalendarAsked) =>
    queryOptions({
      queryKey: ['calendar', asked],
      queryFn: () => answerOf(api.GET('/api/calendar', { params: { query: asked } })),
      placeholderData: keepPreviousData,
    }),

  /** Whether calendar programs may read it. */
  calendarFeed: () =>
    queryOptions({
      queryKey: ['calendar-feed'],
      queryFn: () => answerOf(api.GET('/api/calendar/feed')),
    }),

  /** One of these days hour by hour. */
  calendarDay: (asked: CalendarAsked, day: string) =>
    queryOptions({
      queryKey: ['calendar', asked, day],
      queryFn: () =>
        answerOf(
          api.GET('/api/calendar/days/{day}', {
            params: { path: { day }, query: asked },
          }),
        ),
      placeholderData: keepPreviousData,
    }),

  /** What rules of journeys would do for those who get too much on a day. */
  calendarRules: (asked: CalendarAsked, day: string) =>
    queryOptions({
      queryKey: ['calendar', asked, day, 'rules'],
      queryFn: () =>
        answerOf(
          api.GET('/api/calendar/days/{day}/rules', {
            params: { path: { day }, query: asked },
          }),
        ),
    }),

  /** Whether mail is welcome, and who has opened none for so many days. */
  health: (days: number) =>
    queryOptions({
      queryKey: ['health', days],
      queryFn: () => answerOf(api.GET('/api/health', { params: { query: { days } } })),
      placeholderData: keepPreviousData,
    }),

  /** How much mail is enough for one person. */
  pressure: () =>
    queryOptions({
      queryKey: ['pressure'],
      queryFn: () => answerOf(api.GET('/api/pressure')),
    }),

  rules: () =>
    queryOptions({
      queryKey: ['rules'],
      queryFn: () => answerOf(api.GET('/api/rules')),
      refetchInterval: 10_000,
    }),

  /** What a typed rule would have done lately. */
  ruleLately: (text: string) =>
    queryOptions({
      queryKey: ['rule-lately', text],
      queryFn: () =>
        answerOf(api.POST('/api/rules/lately', { body: { text, caret: text.length } })),
      ...FOR_A_MINUTE,
    }),

  newsletters: () =>
    queryOptions({
      queryKey: ['newsletters'],
      queryFn: () => answerOf(api.GET('/api/newsletters')),
    }),

  newsletter: (id: number) =>
    queryOptions({
      queryKey: ['newsletters', id],
      queryFn: () => answerOf(api.GET('/api/newsletters/{id}', { params: { path: { id } } })),
    }),

  /** How a newsletter would be that is being changed. */
  newsletterLook: (newsletter: NewsletterDocument) =>
    queryOptions({
      queryKey: ['newsletter-look', newsletter],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/newsletters/looks', { body: { newsletter }, signal })),
      placeholderData: keepPreviousData,
    }),

  news: () =>
    queryOptions({
      queryKey: ['news'],
      queryFn: () => answerOf(api.GET('/api/news')),
    }),

  newsOf: (id: number) =>
    queryOptions({
      queryKey: ['news', id],
      queryFn: () => answerOf(api.GET('/api/news/{id}', { params: { path: { id } } })),
    }),

  /** How news would be that is being changed, and its next issue. */
  newsLook: (id: number, series: NewsDocument) =>
    queryOptions({
      queryKey: ['news', id, 'look', series],
      queryFn: ({ signal }) =>
        answerOf(
          api.POST('/api/news/{id}/looks', { params: { path: { id } }, body: { series }, signal }),
        ),
      placeholderData: keepPreviousData,
    }),

  /** A kept message as somebody sees it of whom nothing is known. */
  messageProof: (id: string) =>
    queryOptions({
      queryKey: ['messages', id, 'proof'],
      queryFn: async () => {
        const { manuscript } = await answerOf(
          api.GET('/api/messages/{id}', { params: { path: { id } } }),
        )
        return answerOf(
          api.POST('/api/proofs', { body: { manuscript, person: null, made: null, dark: false } }),
        )
      },
    }),

  /** How an entrance would be that is being changed. */
  entranceLook: (entrance: EntranceDocument) =>
    queryOptions({
      queryKey: ['entrance-look', entrance],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/entrances/looks', { body: { entrance }, signal })),
      placeholderData: keepPreviousData,
    }),

  choicesPage: () =>
    queryOptions({
      queryKey: ['choices-page'],
      queryFn: () => answerOf(api.GET('/api/choices-page')),
    }),

  /** How the page of choices would be that is being changed. */
  choicesLook: (page: ChoicesPageDocument) =>
    queryOptions({
      queryKey: ['choices-look', page],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/choices-page/looks', { body: { page }, signal })),
      placeholderData: keepPreviousData,
    }),

  /** What is hard to read in a style that is being chosen. */
  houseStyleLook: (style: HouseStyleDocument) =>
    queryOptions({
      queryKey: ['house-style', 'look', style],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/house-style/looks', { body: { style, version: 0 }, signal })),
      placeholderData: keepPreviousData,
    }),

  /** A letter in a style that is being chosen. */
  styleSample: (style: HouseStyleDocument, dark: boolean) =>
    queryOptions({
      queryKey: ['house-style', 'sample', style, dark],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/house-style/samples', { body: { style, dark }, signal })),
      placeholderData: keepPreviousData,
    }),

  /** The parts of a message as they are typed. */
  partSentences: (manuscript: ManuscriptDocument) =>
    queryOptions({
      queryKey: ['part-sentences', manuscript],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/parts/sentences', { body: { manuscript }, signal })),
      placeholderData: keepPreviousData,
      gcTime: 10_000,
    }),

  /** What is wrong with a message as it stands, and what could be better. */
  messageFindings: (id: string, manuscript: ManuscriptDocument) =>
    queryOptions({
      queryKey: ['message', id, 'findings', manuscript],
      queryFn: ({ signal }) =>
        answerOf(
          api.POST('/api/messages/{id}/findings', {
            params: { path: { id } },
            body: { manuscript },
            signal,
          }),
        ),
      placeholderData: keepPreviousData,
      gcTime: 10_000,
    }),

  messageHistory: (id: string, version: number) =>
    queryOptions({
      queryKey: ['message', id, 'history', version],
      queryFn: () => answerOf(api.GET('/api/messages/{id}/history', { params: { path: { id } } })),
      placeholderData: keepPreviousData,
    }),

  /** What came to the mailboxes of the stand-in mail server. */
  inbox: (address: string) =>
    infiniteQueryOptions({
      queryKey: ['inbox', 'list', address],
      queryFn: ({ pageParam, signal }) =>
        answerOf(api.POST('/api/inbox/pages', { body: { address, before: pageParam }, signal })),
      initialPageParam: null as number | null,
      getNextPageParam: (page) => page.next ?? undefined,
      placeholderData: keepPreviousData,
    }),

  /** What runs; looked at again and again, more often while the clock is being turned. */
  live: () =>
    queryOptions({
      queryKey: ['live', 'all'],
      queryFn: () => answerOf(api.GET('/api/live')),
      refetchInterval: (query) => (query.state.data?.clock.turning ? 500 : 3000),
    }),

  /** By which forms simulated people may come in, and how far those are who were let come. */
  visitors: () =>
    queryOptions({
      queryKey: ['visitors'],
      queryFn: () => answerOf(api.GET('/api/visitors')),
      refetchInterval: 1000,
    }),

  /** What was forecast of a journey's people beside what happened; worked out when it is asked for. */
  forecast: (journey: number, happened: string) =>
    queryOptions({
      queryKey: ['live', 'forecast', journey, happened],
      queryFn: () =>
        answerOf(
          api.GET('/api/live/journeys/{journey}/forecast', { params: { path: { journey } } }),
        ),
      /* What is known of the same journey stands until more is. */
      placeholderData: (before, last) => (last?.queryKey[2] === journey ? before : undefined),
      refetchInterval: (query) => (query.state.data?.state === 'WORKING' ? 700 : false),
    }),

  /** A journey with its steps, to look at it. */
  journeyView: (id: number) =>
    queryOptions({
      queryKey: ['journeys', 'view', id],
      queryFn: () => answerOf(api.GET('/api/journeys/{id}', { params: { path: { id } } })),
      ...FOR_A_MINUTE,
    }),

  /** How far somebody is who is new here. */
  firstSteps: () =>
    queryOptions({
      queryKey: ['first-steps'],
      queryFn: () => answerOf(api.GET('/api/first-steps')),
    }),

  /** Whoever tries a journey on themselves, and what happened to them. */
  tryout: (journey: number) =>
    queryOptions({
      queryKey: ['tryouts', journey],
      queryFn: () =>
        answerOf(api.GET('/api/journeys/{id}/tryout', { params: { path: { id: journey } } })),
    }),

  personLive: (person: number) =>
    queryOptions({
      queryKey: ['live', 'person', person],
      queryFn: () =>
        answerOf(api.GET('/api/live/people/{person}', { params: { path: { person } } })),
    }),

  stepPeople: (journey: number, step: string) =>
    queryOptions({
      queryKey: ['live', 'step', journey, step],
      queryFn: () =>
        answerOf(
          api.GET('/api/live/journeys/{journey}/steps/{step}', {
            params: { path: { journey, step } },
          }),
        ),
    }),

  phone: () =>
    queryOptions({
      queryKey: ['inbox', 'phone'],
      queryFn: () => answerOf(api.GET('/api/phone')),
    }),

  inboxMail: (id: number) =>
    queryOptions({
      queryKey: ['inbox', 'one', id],
      queryFn: () => answerOf(api.GET('/api/inbox/{id}', { params: { path: { id } } })),
      ...FOR_EVER,
    }),

  messageUses: (id: string) =>
    queryOptions({
      queryKey: ['journeys', 'message-uses', id],
      queryFn: () => answerOf(api.GET('/api/messages/{id}/uses', { params: { path: { id } } })),
      ...FOR_A_MINUTE,
    }),

  strands: () =>
    queryOptions({
      queryKey: ['library', 'strands'],
      queryFn: () => answerOf(api.GET('/api/strands')),
      ...FOR_A_MINUTE,
    }),

  segments: () =>
    queryOptions({
      queryKey: ['library', 'segments'],
      queryFn: () => answerOf(api.GET('/api/segments')),
      ...FOR_A_MINUTE,
    }),

  /** A quick look at a journey as it was saved. */
  estimate: (id: number, version: number, behaviourVersion: number) =>
    queryOptions({
      queryKey: ['estimate', id, version, behaviourVersion],
      queryFn: ({ signal }) =>
        answerOf(api.POST('/api/journeys/{id}/estimates', { params: { path: { id } }, signal })),
      placeholderData: (last: QuickLook | undefined, asked) =>
        asked?.queryKey[1] === id ? last : undefined,
      ...FOR_A_MINUTE,
    }),

  versions: (id: number, version: number) =>
    queryOptions({
      queryKey: ['versions', id, version],
      queryFn: () => answerOf(api.GET('/api/journeys/{id}/versions', { params: { path: { id } } })),
      placeholderData: keepPreviousData,
    }),

  /** One version, and what has changed between it and the newest. */
  version: (id: number, version: number, newest: number) =>
    queryOptions({
      queryKey: ['versions', id, newest, version],
      queryFn: () =>
        answerOf(
          api.GET('/api/journeys/{id}/versions/{version}', { params: { path: { id, version } } }),
        ),
      placeholderData: keepPreviousData,
    }),

  keptWalks: (id: number, version: number) =>
    queryOptions({
      queryKey: ['kept-walks', id, version],
      queryFn: () =>
        answerOf(api.GET('/api/journeys/{id}/kept-walks', { params: { path: { id } } })),
      placeholderData: keepPreviousData,
    }),

  walk: (id: number, version: number, walker: Walker) =>
    queryOptions({
      queryKey: ['walk', id, version, walker],
      queryFn: ({ signal }) =>
        answerOf(
          api.POST('/api/journeys/{id}/walks', {
            params: { path: { id } },
            body: { journey: null, walker },
            signal,
          }),
        ),
      placeholderData: keepPreviousData,
    }),

  /** Runs in short, the pinned first, then the newest: all, or those with one journey. */
  runs: (journey: number | null) =>
    infiniteQueryOptions({
      queryKey: ['runs', 'list', journey],
      queryFn: ({ pageParam, signal }) =>
        answerOf(
          api.GET('/api/dry-runs', {
            params: { query: { ...(journey === null ? {} : { journey }), page: pageParam } },
            signal,
          }),
        ),
      initialPageParam: 0,
      getNextPageParam: (_, all) => nextPage(all, (page) => page.runs.length),
    }),

  run: (id: number) =>
    queryOptions({
      queryKey: ['runs', 'whole', id],
      queryFn: () => answerOf(api.GET('/api/dry-runs/{id}', { params: { path: { id } } })),
    }),

  whatMatters: (run: number, number: number) =>
    queryOptions({
      queryKey: ['runs', 'what-matters', run, number],
      queryFn: ({ signal }) =>
        answerOf(
          api.GET('/api/dry-runs/{id}/what-matters', {
            params: { path: { id: run }, query: { number } },
            signal,
          }),
        ),
      ...FOR_EVER,
    }),

  sweep: (run: number, number: number, of: string) =>
    queryOptions({
      queryKey: ['runs', 'sweep', run, number, of],
      queryFn: ({ signal }) =>
        answerOf(
          api.GET('/api/dry-runs/{id}/sweeps', {
            params: { path: { id: run }, query: { number, of } },
            signal,
          }),
        ),
      ...FOR_EVER,
    }),

  leeways: (run: number, number: number) =>
    queryOptions({
      queryKey: ['runs', 'leeways', run, number],
      queryFn: ({ signal }) =>
        answerOf(
          api.GET('/api/dry-runs/{id}/leeways', {
            params: { path: { id: run }, query: { number } },
            signal,
          }),
        ),
      ...FOR_EVER,
    }),

  searchSize: (run: number, number: number, wish: SearchWish | null) =>
    queryOptions({
      queryKey: ['runs', 'search-size', run, number, wish],
      queryFn: ({ signal }) =>
        answerOf(
          api.POST('/api/dry-runs/{id}/search-sizes', {
            params: { path: { id: run }, query: { number } },
            body: wish!,
            signal,
          }),
        ),
      placeholderData: keepPreviousData,
      ...FOR_EVER,
    }),

  betterWays: (run: number, number: number) =>
    queryOptions({
      queryKey: ['better-ways', run, number],
      queryFn: ({ signal }) =>
        answerOf(
          api.GET('/api/dry-runs/{id}/better-ways', {
            params: { path: { id: run }, query: { number } },
            signal,
          }),
        ),
    }),

  preview: (
    run: number,
    number: number,
    assumed: { cohort: CohortPlan; behaviour: BehaviourDocument },
  ) =>
    queryOptions({
      queryKey: ['runs', 'preview', run, number, assumed],
      queryFn: ({ signal }) =>
        answerOf(
          api.POST('/api/dry-runs/{id}/previews', {
            params: { path: { id: run }, query: { number } },
            body: assumed,
            signal,
          }),
        ),
      placeholderData: keepPreviousData,
      ...FOR_EVER,
    }),

  cohorts: () =>
    queryOptions({
      queryKey: ['cohorts'],
      queryFn: () => answerOf(api.GET('/api/cohorts')),
    }),

  account: () =>
    queryOptions({
      queryKey: ['account'],
      queryFn: () => answerOf(api.GET('/api/account')),
    }),

  accountChoices: () =>
    queryOptions({
      queryKey: ['account-choices'],
      queryFn: () => answerOf(api.GET('/api/account/choices')),
      ...FOR_EVER,
    }),

  limits: () =>
    queryOptions({
      queryKey: ['limits'],
      queryFn: () => answerOf(api.GET('/api/sending-limits')),
    }),

  opensOfTen: (keenness: number, spread: number) =>
    queryOptions({
      queryKey: ['opens-of-ten', keenness, spread],
      queryFn: ({ signal }) =>
        answerOf(api.GET('/api/opens-of-ten', { params: { query: { keenness, spread } }, signal })),
      placeholderData: keepPreviousData,
      ...FOR_EVER,
    }),

  comparison: (of: ComparedBy) =>
    queryOptions({
      queryKey: ['runs', 'comparison', of],
      queryFn: ({ signal }) =>
        answerOf(api.GET('/api/comparisons', { params: { query: of }, signal })),
      placeholderData: keepPreviousData,
    }),

  keptComparisons: () =>
    queryOptions({
      queryKey: ['kept-comparisons'],
      queryFn: () => answerOf(api.GET('/api/kept-comparisons')),
    }),
}
