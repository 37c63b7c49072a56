import { afterEach, describe, expect, it } from 'vitest'
import { type App, createApp, h } from 'vue'
import type { BehaviourDocument, JourneyDocument } from '@/api/types'
import CohortPanel from './CohortPanel.vue'

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
      people: 20_000,
      seed: 7,
      horizonDays: 60,
      'onUpdate:people': (people: number) => told.push(['people', people]),
      'onUpdate:seed': (seed: number) => told.push(['seed', seed]),
      'onUpdate:horizonDays': (days: number) => told.push(['days', days]),
    }),
  )
  app.mount(host)
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
    ['They come evenly over a week.', [joins]],
    ['They come evenly over a week.', []],
    ['They come evenly over a week.', [joins, together]],
    ['They all come together, on the day.', [together]],
    ['They come when their own dates say so.', [ownDate]],
  ])('is told as %s', (words, triggers) => {
    expect(panel(triggers as JourneyDocument['triggers']).host.textContent).toContain(words)
  })

  it('tells each number on its own, and only when it is finished', () => {
    const { host, told } = panel([])
    const inputs = [...host.querySelectorAll<HTMLInputElement>('label input')].slice(0, 3)
    expect(inputs.map((one) => one.value)).toEqual(['20000', '7', '60'])
    inputs.forEach((one, i) => {
      one.value = String(100 + i)
      one.dispatchEvent(new Event('input'))
    })
    expect(told).toEqual([])
    inputs.forEach((one) => one.dispatchEvent(new Event('change')))
    expect(told).toEqual([
      ['people', 100],
      ['seed', 101],
      ['days', 102],
    ])
  })
})
