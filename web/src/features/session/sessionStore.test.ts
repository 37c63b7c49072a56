import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { answerOf, api } from '@/api/client'
import { json } from '@/api/testClient'
import { useSessionStore } from './sessionStore'

/** What the server answers to each question. */
let answers: Record<string, () => Response>
vi.mock('@/api/client', async (original) => {
  const { answeredBy } = await import('@/api/testClient')
  const module = (await answeredBy(original, async (request: Request) => {
    const answer = answers[`${request.method} ${new URL(request.url).pathname}`]
    if (!answer) throw new TypeError('Failed to fetch')
    return answer()
  })) as typeof import('@/api/client')
  const onPasswordNeeded = (ask: () => void) =>
    module.api.use({
      onResponse({ response }) {
        if (response.status === 401) ask()
      },
    })
  return { ...module, onPasswordNeeded }
})

const said = (passwordSet: boolean, isIn: boolean) => () => json({ passwordSet, in: isIn })
const refused = () => json({ title: 'No', detail: 'That is not the password.', code: 'no' }, 401)

beforeEach(() => {
  setActivePinia(createPinia())
  answers = {}
})

describe('the session', () => {
  it.each([
    [false, false, 'open'],
    [true, true, 'in'],
    [true, false, 'out'],
  ])('with a password %s and it said %s is %s', async (set, isIn, where) => {
    answers['GET /api/session'] = said(set, isIn)
    const store = useSessionStore()
    await store.look()
    expect(store.session).toBe(where)
  })

  it('shows the pages where the server does not answer, which say so themselves', async () => {
    const store = useSessionStore()
    await store.look()
    expect(store.session).toBe('open')
  })

  it('keeps out whoever says a wrong password, and says why', async () => {
    answers['POST /api/session'] = refused
    const store = useSessionStore()
    await expect(store.signIn('guess')).rejects.toThrow('That is not the password.')
    expect(store.session).not.toBe('in')
  })

  it('asks for the password as soon as any answer says that it is needed', async () => {
    answers['GET /api/session'] = said(true, true)
    const store = useSessionStore()
    await store.look()
    answers['GET /api/journeys'] = refused
    await answerOf(api.GET('/api/journeys', { params: { query: {} as never } })).catch(() => {})
    expect(store.session).toBe('out')
  })

  it('stays in where signing out did not reach the server', async () => {
    answers['GET /api/session'] = said(true, true)
    const store = useSessionStore()
    await store.look()
    await expect(store.signOut()).rejects.toThrow('does not answer')
    expect(store.session).toBe('in')
  })
})
