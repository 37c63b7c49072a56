import type { ArmDocument, RunMeasures, Share, StepDocument, StepMeasures } from '@/api/types'
import { email } from '@/features/workbench/newSteps'

/** Seeded random journeys with measures that conserve people, for the tests of the layout. */

const WEEK = ['MONDAY', 'TUESDAY', 'WEDNESDAY', 'THURSDAY', 'FRIDAY', 'SATURDAY', 'SUNDAY'] as const

export interface RandomJourney {
  body: StepDocument[]
  measures: RunMeasures
}

export function randomJourney(seed: number, size: number): RandomJourney {
  const random = mulberry(seed)
  const steps: StepMeasures[] = []
  const entered = 10_000
  let left = size
  let ids = 0

  function sequence(
    people: number,
    hours: number,
    depth: number,
  ): [StepDocument[], number, number] {
    const body: StepDocument[] = []
    const length = depth === 0 ? size : Math.floor(random() * 4)
    for (let i = 0; i < length && left > 0; i++) {
      const [step, out, later] = oneStep(people, hours, depth)
      body.push(step)
      people = out
      hours = later
      if (step.kind === 'finish') break
    }
    return [body, people, hours]
  }

  function oneStep(people: number, hours: number, depth: number): [StepDocument, number, number] {
    left--
    const id = `s${ids++}`
    const measured = measure(id, people, hours)
    const kind = random()
    if (kind < 0.4) {
      measured.email = emailOf(people, random)
      return [email(id, 'm'), measured.passed, hours]
    }
    if (kind < 0.65) {
      const later = hours + Math.floor(random() * 100)
      const until = { time: '09:00', days: [...WEEK] }
      return [
        {
          kind: 'wait',
          id,
          rule: { kind: 'for', amount: { count: 1, unit: 'DAYS' }, thenUntil: until },
        },
        measured.passed,
        later,
      ]
    }
    if (kind < 0.68) return [plainStep(id, random), measured.passed, hours]
    if (kind < 0.75) {
      const changes = [{ kind: 'addTag' as const, tag: 't' }]
      return [{ kind: 'change', id, changes }, measured.passed, hours]
    }
    if (kind < 0.8 && depth > 0) return [{ kind: 'finish', id }, 0, hours]
    if (depth >= 3) {
      measured.email = emailOf(people, random)
      return [email(id, 'm'), measured.passed, hours]
    }
    const arms: ArmDocument[] = []
    let rest = measured.passed
    let out = 0
    let latest = hours
    const count = 2 + Math.floor(random() * 2)
    for (let i = 0; i < count; i++) {
      const taken = i === count - 1 ? rest : Math.floor(rest * random())
      rest -= taken
      const arm = `a${ids++}`
      measured.arms.push({ id: arm, taken: share(taken, measured.passed) })
      const [inside, through, later] = sequence(taken, hours, depth + 1)
      arms.push({ id: arm, condition: { kind: 'hasTag', tag: 't' }, steps: inside })
      if (inside.at(-1)?.kind !== 'finish') {
        out += through
        latest = Math.max(latest, later)
      }
    }
    const { id: last, steps: rest2 } = arms.pop()!
    const otherwise = { id: last, steps: rest2 }
    if (random() < 0.2) {
      const lots = [...arms, otherwise].map(({ id, steps }) => ({ id, percent: 50, steps }))
      return [{ kind: 'splitTest', id, arms: lots }, out, latest]
    }
    return [{ kind: 'branch', id, waitUpTo: null, arms, otherwise }, out, latest]
  }

  function measure(id: string, people: number, hours: number): StepMeasures {
    const gone = Math.floor(people * 0.02 * random())
    const measured: StepMeasures = {
      id,
      reach: share(people, entered),
      passed: people - gone,
      waiting: 0,
      finished: 0,
      held: 0,
      skipped: 0,
      leftRule: 0,
      leftGoal: gone,
      leftUnsubscribed: 0,
      leftBounced: 0,
      left: share(gone, people),
      arrival:
        people === 0
          ? null
          : {
              medianHours: hours,
              medianErrorHours: hours / 200,
              quarterHours: hours * 0.9,
              threeQuarterHours: hours * 1.1,
              earliestHours: hours * 0.8,
              latestHours: hours * 1.2,
              firstDay: Math.floor(hours / 24),
              lastDay: Math.floor(hours / 24),
              day: Math.floor(hours / 24),
              localTime: random() < 0.6 ? '09:00' : null,
            },
      arms: [],
      email: null,
    }
    steps.push(measured)
    return measured
  }

  const [body] = sequence(entered, 0, 0)
  const none = share(0, entered)
  const measures: RunMeasures = {
    people: entered,
    refused: 0,
    turnedAway: 0,
    entered,
    finished: none,
    through: none,
    waiting: none,
    leftGoal: none,
    leftUnsubscribed: none,
    leftBounced: none,
    leftRule: none,
    leftComplained: none,
    leftErased: none,
    unsubscribed: none,
    goal: share(700, entered),
    secondaryGoals: [],
    heldOutGoal: null,
    added: null,
    emailsSent: 0,
    textsSent: 0,
    emailsPerGoal: null,
    emailsEach: 0,
    money: {
      buyers: none,
      orders: 0,
      revenue: 0,
      ordersPerThousandPeople: NOTHING,
      ordersPerThousandEmails: NOTHING,
      revenuePerThousandPeople: NOTHING,
      revenuePerThousandEmails: NOTHING,
    },
    chains: [],
    steps,
  }
  return { body, measures }
}

/** A step that people go through without noticing. */
function plainStep(id: string, random: () => number): StepDocument {
  const kind = random()
  if (kind < 0.3) return { kind: 'include', id, strand: 's' }
  if (kind < 0.6) return { kind: 'handOver', id, journey: 'Another', thenFinish: false }
  return { kind: 'notify', id, notice: { kind: 'teammate', to: 'Bo', text: 'Look' } }
}

function emailOf(people: number, random: () => number): StepMeasures['email'] {
  const some = share(Math.floor(people * random()), people)
  return {
    delivered: share(people, people),
    opened: some,
    openedByPeople: some,
    clicked: some,
    clickToOpen: some,
    links: [],
    variants: [],
    unsubscribed: some,
    afterGoal: some,
    buyers: some,
    revenueCents: 0,
  }
}

const NOTHING = { value: null, low: null, high: null, error: null }

function share(count: number, of: number): Share {
  return { count, of, value: of === 0 ? null : count / of, low: null, high: null }
}

/** A small seeded generator, so that a failing journey can be looked at again. */
function mulberry(seed: number): () => number {
  let state = seed
  return () => {
    state = (state + 0x6d2b79f5) | 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}
