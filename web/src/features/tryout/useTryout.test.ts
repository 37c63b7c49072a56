import { flushPromises } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import type { TryoutAct, TryoutView } from '@/api/types'
import { json } from '@/api/testClient'
import { within } from '@/testing'
import { useTryout } from './useTryout'

const acts: TryoutAct[] = []
let now: TryoutView
let refuses: boolean

const mail = (number: number) => ({ number, links: [], clicked: [], opened: false })
const view = (done: number, mails: number) =>
  ({
    journey: 'First frames',
    run: { done, mails: Array.from({ length: mails }, (_, n) => mail(mails - 1 - n)) },
  }) as unknown as TryoutView

vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  return answeredBy(original, async (request: Request) => {
    if (request.method === 'POST') {
      if (refuses) {
        const why = { title: 'Conflict', detail: 'Something else was done meanwhile.', status: 409 }
        return json(why, 409)
      }
      acts.push((await request.json()) as TryoutAct)
      now = view(now.run!.done + 1, now.run!.mails.length + 1)
    }
    return json(now)
  })
})

beforeEach(() => {
  acts.length = 0
  refuses = false
  now = view(1, 1)
})

async function trying() {
  const tryout = within(() => useTryout(() => 7))
  await flushPromises()
  return tryout
}

it('says with each act how many came before it, so that none is done twice', async () => {
  const { act, run } = await trying()
  await act('WAIT')
  await act('CLICK', { mail: 0, link: 'Hive kits' })
  expect(acts.map((one) => one.done)).toEqual([1, 2])
  expect(acts[1]).toMatchObject({ deed: 'CLICK', mail: 0, link: 'Hive kits', product: null })
  expect(run.value?.done).toBe(3)
})

it('reads the newest message, until another is chosen', async () => {
  const { act, mail, chosen } = await trying()
  expect(mail.value?.number).toBe(0)
  await act('WAIT')
  expect(mail.value?.number).toBe(1)
  chosen.value = 0
  expect(mail.value?.number).toBe(0)
  await act('WAIT')
  expect(mail.value?.number).toBe(2)
})

it('reads all again when somebody else was faster, and says why', async () => {
  const { act, run, failure } = await trying()
  refuses = true
  now = view(5, 2)
  await act('WAIT')
  await flushPromises()
  expect(failure.value).toContain('Something else was done meanwhile.')
  expect(run.value?.done).toBe(5)
})
