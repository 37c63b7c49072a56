import { mount } from '@vue/test-utils'
import { describe, expect, it } from 'vitest'
import NewsReview from '@/features/news/NewsReview.vue'
import type { NewsletterFault } from '@/api/types'
import NewsletterReview from './NewsletterReview.vue'

const fault = (code: string, severity: NewsletterFault['severity'], sentence: string) => ({
  code,
  severity,
  sentence,
  place: '',
})
const many = (people: number) => fault('many', 'WARNING', `It goes to ${people} people.`)

function letter(findings: NewsletterFault[], change = {}) {
  return mount(NewsletterReview, {
    props: {
      phase: 'DRAFT',
      review: [],
      says: [],
      findings,
      changed: false,
      busy: false,
      ...change,
    },
  })
}
type Mounted = ReturnType<typeof letter>
const button = (one: Mounted, words: string) =>
  one.findAll('button').find((key) => key.text() === words)!

describe('what sends a newsletter', () => {
  it('is still while an error stands; a missing time stands in the way of a plan only', () => {
    const nobody = letter([fault('no-who', 'ERROR', 'Say to whom.')])
    expect(button(nobody, 'Plan it').element.disabled).toBe(true)
    expect(button(nobody, 'Send it now').element.disabled).toBe(true)
    const timeless = letter([fault('no-time', 'ERROR', 'Say when.')])
    expect(button(timeless, 'Plan it').element.disabled).toBe(true)
    expect(button(timeless, 'Send it now').element.disabled).toBe(false)
    const advised = letter([fault('short', 'WARNING', 'Its subject is short.')])
    expect(button(advised, 'Plan it').element.disabled).toBe(false)
  })

  it('asks whether so many are meant, and passes on that they are', async () => {
    const one = letter([many(4000)])
    expect(button(one, 'Plan it').element.disabled).toBe(true)
    await one.get('[type=checkbox]').setValue(true)
    await button(one, 'Plan it').trigger('click')
    expect(one.emitted('plan')).toEqual([[false, true]])
  })

  it('asks again once it is about other people than those that were meant', async () => {
    const one = letter([many(4000)])
    await one.get('[type=checkbox]').setValue(true)
    await one.setProps({ findings: [many(4000), fault('short', 'NOTE', 'Short.')] })
    expect(button(one, 'Plan it').element.disabled).toBe(false)
    await one.setProps({ findings: [many(40_000)] })
    expect(one.get<HTMLInputElement>('[type=checkbox]').element.checked).toBe(false)
    expect(button(one, 'Plan it').element.disabled).toBe(true)
    await one.get('[type=checkbox]').setValue(true)
    await one.setProps({ findings: [] })
    await one.setProps({ findings: [many(40_000)] })
    expect(button(one, 'Plan it').element.disabled).toBe(true)
  })

  it('is not pressed twice while it is under way', async () => {
    const one = letter([])
    await button(one, 'Send it now').trigger('click')
    await one.setProps({ busy: true })
    expect(button(one, 'Send').element.disabled).toBe(true)
    await button(one, 'Send').trigger('click')
    expect(one.emitted('plan')).toBeUndefined()
  })

  it.each([
    ['DRAFT', ['Plan it', 'Send it now', 'Make a copy', 'Put it away']],
    ['PLANNED', ['Take it out of the plan', 'Make a copy']],
    ['GOING_OUT', ['Call back what has not gone yet', 'Make a copy']],
    ['GONE', ['Make a copy', 'Put it away']],
    ['CALLED_BACK', ['Make a copy', 'Put it away']],
  ] as const)('offers a newsletter that is %s only what can be done with it', (phase, keys) => {
    const one = letter([], { phase })
    expect(one.findAll('button').map((key) => key.text())).toEqual(keys)
  })
})

describe('what turns news on a rhythm on', () => {
  const news = (change = {}) =>
    mount(NewsReview, {
      props: {
        on: false,
        skips: false,
        review: [],
        findings: [],
        people: 1,
        fresh: 0,
        changed: false,
        busy: false,
        ...change,
      },
    })

  it('is still while something is wrong, is not saved, or so many are not meant', async () => {
    const on = (one: ReturnType<typeof news>) => button(one as never, 'Turn it on').element.disabled
    expect(on(news())).toBe(false)
    expect(on(news({ changed: true }))).toBe(true)
    expect(on(news({ findings: [fault('no-source', 'ERROR', 'Say where from.')] }))).toBe(true)
    const crowd = news({ findings: [many(9000)] })
    expect(on(crowd)).toBe(true)
    await crowd.get('[type=checkbox]').setValue(true)
    expect(on(crowd)).toBe(false)
  })

  it('sends an issue early only where something is new, and only when that is meant', async () => {
    const quiet = news({ on: true })
    expect(button(quiet as never, 'Send an issue now').element.disabled).toBe(true)
    const fresh = news({ on: true, fresh: 2, people: 1200 })
    await button(fresh as never, 'Send an issue now').trigger('click')
    expect(fresh.emitted('early')).toBeUndefined()
    expect(fresh.text()).toContain('at the next minute, to 1,200?')
    await button(fresh as never, 'Send').trigger('click')
    expect(fresh.emitted('early')).toEqual([[false]])
    expect(button(fresh as never, 'Send an issue now')).toBeDefined()
  })

  it('says in words how many get it and what its keys would do', async () => {
    const one = news({ on: true, skips: true })
    expect(one.text()).toContain('1 person gets it')
    await button(one as never, 'Do not skip the next issue').trigger('click')
    expect(one.emitted('skip')).toEqual([[false]])
    expect(button(one as never, 'Put it away')).toBeUndefined()
  })
})
