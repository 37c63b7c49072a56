import { VueQueryPlugin } from '@tanstack/vue-query'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { type App, createApp, h } from 'vue'
import { queryClient } from '@/api/queries'
import type { BehaviourDocument, JourneyDocument } from '@/api/types'
import CohortPanel from './CohortPanel.vue'
import { cohortOf, draftOf, FIRST_DRAFT, type RunDraft, shareOut, withoutGroup } from './runDraft'

vi.mock('@/api/client', () => ({
  api: { GET: () => Promise.resolve([]) },
  answerOf: (asked: Promise<unknown>) => asked,
  reasonOf: String,
}))

const typical = (value: number) => ({ value, origin: 'TYPICAL' as const })

const behaviour = {
  groups: [],
  openMedianHours: typical(3),
  openSigma: typical(1.6),
  clickMedianMinutes: typical(2),
  buyAfterClick: typical(0.09),
  buyMeanHours: typical(18),
} as unknown as BehaviourDocument

let app: App | null = null
afterEach(() => app?.unmount())

function panel(triggers: JourneyDocument['triggers']) {
  const told: unknown[] = []
  const host = document.createElement('div')
  app = createApp(() =>
    h(CohortPanel, {
      behaviour,
      triggers,
      draft: FIRST_DRAFT,
      others: [],
      outlook: null,
      'onUpdate:draft': (draft: RunDraft) => told.push(draft),
    }),
  )
  app.use(VueQueryPlugin, { queryClient }).mount(host)
  return { host, told }
}

const joins = { kind: 'joinsList', list: 'Members' } as const
const together = { kind: 'onDate', date: '2027-05-01', at: '07:30' } as const
const ownDate = {
  kind: 'dateComes',
  field: 'member until',
  days: -30,
  at: '09:00',
  everyYear: true,
  onFirstOfMarch: false,
} as const

describe('who enters', () => {
  it.each([
    ['They come', [joins]],
    ['They come', []],
    ['They come', [joins, together]],
    ['They all come together, on the day.', [together]],
    ['They come when their own dates say so.', [ownDate]],
  ])('is told as %s', (words, triggers) => {
    expect(panel(triggers as JourneyDocument['triggers']).host.textContent).toContain(words)
  })

  it('tells each number on its own, and only when it is finished', () => {
    const { host, told } = panel([])
    const numbers = [...host.querySelectorAll<HTMLInputElement>('label input[type=number]')]
    const people = numbers[0]!
    expect(people.value).toBe('20000')
    people.value = '700'
    people.dispatchEvent(new Event('input'))
    expect(told).toEqual([])
    people.dispatchEvent(new Event('change'))
    expect(told).toEqual([{ ...FIRST_DRAFT, people: 700 }])
  })
})

describe('a draft', () => {
  const groups = [0.5, 0.3, 0.2].map((share, i) => ({ name: `g${i}`, share }))
  const some = groups as unknown as Parameters<typeof shareOut>[0]

  it('keeps the proportions of the other groups', () => {
    const shares = (all: { share: number }[]) => all.map((one) => Number(one.share.toFixed(6)))
    const larger = some.with(0, { ...some[0]!, share: 0.75 })
    expect(shares(shareOut(larger, 0))).toEqual([0.75, 0.15, 0.1])
    expect(shares(withoutGroup(some, 0))).toEqual([0.6, 0.4])
  })

  it('comes back from a run as it was made', () => {
    const cohort = cohortOf({ ...FIRST_DRAFT, people: 9, holdOut: 0.1 }, some)
    const run = (journeyId: number) => ({ run: { journeyId, seed: 5, horizonDays: 30 } })
    const made = { cohort, journeys: [run(1), run(4)] } as unknown as Parameters<typeof draftOf>[0]
    expect(draftOf(made, 1, { ...FIRST_DRAFT, cohortId: 3 })).toEqual({
      people: 9,
      arrivals: FIRST_DRAFT.arrivals,
      holdOut: 0.1,
      seed: 5,
      horizonDays: 30,
      cohortId: 3,
      together: [4],
    })
  })
})
