<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { answerOf, api, reasonOf } from '@/api/client'
import { outdated, questions } from '@/api/queries'
import type { CalendarLane } from '@/api/types'
import { useForm } from '@/api/useForm'
import WhoField from '@/features/people/WhoField.vue'
import ChoiceBar from '@/ui/ChoiceBar.vue'
import { count } from '@/ui/figures'
import Trouble from '@/ui/Trouble.vue'
import { useTabTitle } from '@/ui/useTabTitle'
import CalendarGrid from './CalendarGrid.vue'
import DayPanel from './DayPanel.vue'
import { daysFrom, longDay, plusDays, shortDay } from './days'
import DraftForm from './DraftForm.vue'
import NewsletterList from './NewsletterList.vue'
import SubscribeMenu from './SubscribeMenu.vue'
import TooMuchPanel from './TooMuchPanel.vue'

/** What goes out when, to how many, and whether it is too much. */
const SPANS = [
  { key: 'week', name: 'week', days: 7 },
  { key: 'weeks', name: '3 weeks', days: 21 },
  { key: 'quarter', name: 'quarter', days: 91 },
] as const
type SpanKey = (typeof SPANS)[number]['key']

const route = useRoute()
const router = useRouter()
function ask(query: Record<string, string | string[] | undefined>) {
  void router.replace({ query: { ...route.query, ...query } })
}
const span = computed<SpanKey>({
  get: () => SPANS.find((one) => one.key === route.query.span)?.key ?? 'weeks',
  set: (key) => ask({ span: key }),
})
const length = computed(() => SPANS.find((one) => one.key === span.value)!.days)
/** The first day that is asked for; without one the server begins with this week. */
const asksFrom = computed(() =>
  typeof route.query.from === 'string' ? route.query.from : undefined,
)
/** Of whom alone it is told, as a sentence; all if it says nothing. */
const who = computed({
  get: () => (typeof route.query.who === 'string' ? route.query.who : ''),
  set: (sentence) => ask({ who: sentence.trim() || undefined }),
})
/** Drafts of journeys that are shown as if they were opened. */
const drafts = computed(() => [route.query.draft ?? []].flat().map(String))
const asksWho = ref(false)
const filters = computed(() => asksWho.value || who.value !== '')
const asked = computed(() => ({
  from: asksFrom.value,
  days: length.value,
  who: who.value,
  draft: drafts.value,
}))
const { data: view, error, isFetching } = useQuery(computed(() => questions.calendar(asked.value)))
const days = computed(() => (view.value ? daysFrom(view.value.from, view.value.days) : []))
const chosen = computed(() => {
  const asked = route.query.day
  if (typeof asked === 'string' && days.value.some((one) => one.day === asked)) return asked
  const now = view.value?.today
  return days.value.some((one) => one.day === now) ? now! : (days.value[0]?.day ?? '')
})
const { data: day } = useQuery(
  computed(() => ({
    ...questions.calendarDay({ ...asked.value, from: view.value?.from }, chosen.value),
    enabled: !!view.value && chosen.value !== '',
  })),
)
const { data: newsletters } = useQuery(questions.newsletters())
const { data: news } = useQuery(questions.news())
const { told, busy, send } = useForm()
/** The address for calendar programs that was made just now. */
const feed = ref<{ address: string | null; trouble: string | null } | null>(null)
const asksDraft = ref(drafts.value.length > 0)
const running = computed(
  () => view.value?.lanes.filter((one) => one.kind === 'JOURNEY').map((one) => one.id) ?? [],
)
/** What was moved last, so that it can be put back. */
const moved = ref<{ id: number; name: string; from: string; to: string } | null>(null)
useTabTitle(() => 'Calendar')

const range = computed(() => {
  const [first, last] = [days.value[0], days.value.at(-1)]
  return first && last ? `${shortDay(first.day)} to ${shortDay(last.day)}` : ''
})

function all() {
  asksWho.value = false
  who.value = ''
}

async function add() {
  await send(async () => {
    const added = await answerOf(api.POST('/api/newsletters', { body: { name: null } }))
    await outdated('newsletters')
    await router.push({ name: 'newsletter', params: { id: added.id } })
  })
}

async function addNews() {
  await send(async () => {
    const added = await answerOf(api.POST('/api/news', { body: { name: null } }))
    await outdated('news')
    await router.push({ name: 'news', params: { id: added.id } })
  })
}

async function move(id: number, to: string): Promise<boolean> {
  return send(async () => {
    const at = { params: { path: { id } } }
    const now = await answerOf(api.GET('/api/newsletters/{id}', at))
    const before = now.newsletter.going?.date
    await answerOf(
      api.PUT('/api/newsletters/{id}/moment', {
        ...at,
        body: { version: now.version, date: to, at: null },
      }),
    )
    moved.value = before ? { id, name: now.newsletter.name, from: before, to } : null
    await Promise.all([outdated('newsletters'), outdated('calendar')])
  })
}

async function putBack() {
  const last = moved.value
  if (!last) return
  if (await move(last.id, last.from)) moved.value = null
}

function moveLane(lane: CalendarLane, to: string) {
  void move(lane.id, to)
}
</script>

<template>
  <main class="flex min-h-0 flex-col gap-3 px-4 pb-3">
    <header class="flex flex-wrap items-center gap-x-3 gap-y-2 pt-3">
      <h1 class="text-page">Calendar</h1>
      <span class="note hidden whitespace-nowrap 2xl:inline">{{ range }}</span>
      <ChoiceBar v-model="span" label="How many days" :choices="SPANS" />
      <span class="flex gap-1">
        <button
          type="button"
          class="button"
          :disabled="!view"
          @click="ask({ from: plusDays(view!.from, -Math.min(28, length)), day: undefined })"
        >
          Earlier
        </button>
        <button type="button" class="button" @click="ask({ from: undefined, day: undefined })">
          Today
        </button>
        <button
          type="button"
          class="button"
          :disabled="!view"
          @click="ask({ from: plusDays(view!.from, Math.min(28, length)), day: undefined })"
        >
          Later
        </button>
      </span>
      <span
        v-for="one in view?.quota.slice(0, 1)"
        :key="one.month"
        class="flex items-center gap-2"
        :title="one.sentence"
      >
        <span class="whitespace-nowrap"
          >{{ one.month }}:
          <b class="figure"
            >{{ count(Math.round(one.gone + one.expected)) }} of {{ count(one.limit) }}</b
          ></span
        >
        <span class="h-2 w-20 overflow-hidden rounded-full bg-vine-soft" aria-hidden="true">
          <span
            class="block h-full"
            :class="one.gone + one.high > one.limit ? 'bg-clay' : 'bg-vine'"
            :style="{ width: `${Math.min(100, (100 * (one.gone + one.expected)) / one.limit)}%` }"
          />
        </span>
      </span>
      <span class="ml-auto flex gap-2">
        <button
          type="button"
          class="button"
          :aria-expanded="filters"
          @click="filters ? all() : (asksWho = true)"
        >
          {{ filters ? 'All people' : 'Only some' }}
        </button>
        <button
          type="button"
          class="button"
          :aria-expanded="asksDraft"
          @click="asksDraft = !asksDraft"
        >
          With a draft
        </button>
        <SubscribeMenu @told="(address, trouble) => (feed = { address, trouble })" />
        <button type="button" class="button button-main" :disabled="busy" @click="add">
          New newsletter
        </button>
      </span>
    </header>
    <section v-if="filters" class="panel px-3 py-2" aria-label="Only some people">
      <WhoField v-model="who" label="Only who" placeholder="are on list …, or are in segment …" />
    </section>
    <DraftForm
      v-if="asksDraft"
      :today="view?.today"
      :running="running"
      :drafts="drafts"
      @show="(shown) => ask({ draft: shown.length ? shown : undefined })"
      @close="asksDraft = false"
    />
    <p v-if="feed?.address" class="panel flex items-center gap-2 px-3 py-2" role="status">
      <span class="text-ink2 whitespace-nowrap">For calendar programs:</span>
      <input
        class="field figure"
        readonly
        :value="feed.address"
        aria-label="Address for calendar programs"
        @focus="($event.target as HTMLInputElement).select()"
      />
      <span class="note whitespace-nowrap">Keep it: it is shown once.</span>
      <button type="button" class="button button-small" @click="feed = null">Close</button>
    </p>
    <p v-if="feed?.trouble" class="warning" role="alert">{{ feed.trouble }}</p>
    <p v-if="told" class="warning" role="alert">{{ told }}</p>
    <p v-if="moved" class="note flex items-center gap-2" role="status">
      “{{ moved.name }}” goes out on {{ longDay(moved.to) }} now.
      <button type="button" class="button button-small" :disabled="busy" @click="putBack">
        Back to {{ longDay(moved.from) }}
      </button>
    </p>
    <Trouble v-if="error" :text="reasonOf(error)" />
    <template v-if="view">
      <CalendarGrid
        class="flex-1"
        :class="{ 'opacity-70': isFetching && busy }"
        :view="view"
        :days="days"
        :chosen="chosen"
        :busy="busy"
        @choose="(one) => ask({ day: one })"
        @move="moveLane"
      />
      <div class="grid h-44 shrink-0 grid-cols-3 gap-3">
        <DayPanel :day="chosen" :view="day" />
        <NewsletterList
          :newsletters="newsletters ?? []"
          :news="news ?? []"
          :busy="busy"
          @news="addNews"
        />
        <TooMuchPanel
          :view="view"
          :asked="{ ...asked, from: view.from }"
          :busy="busy"
          @move="move"
          @choose="(one) => ask({ day: one })"
        />
      </div>
    </template>
    <p v-else-if="!error" class="panel p-6 text-ink2">Working out what goes out …</p>
  </main>
</template>
