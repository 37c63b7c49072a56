import { afterEach, describe, expect, it, vi } from 'vitest'
import { answerOf, faultsOf, reasonOf, Refused } from './client'

const response = (status: number) => new Response(null, { status })

describe('an answer of the server', () => {
  it('is its data', async () => {
    expect(await answerOf(Promise.resolve({ data: 7, response: response(200) }))).toBe(7)
  })

  it('is a refusal with the server’s own reason', async () => {
    const error = { code: 'bad-value', detail: 'A wait must be more than 0.', problems: [] }
    const request = answerOf(Promise.resolve({ error, response: response(400) }))
    const refused = await request.catch((failure: unknown) => failure)
    expect(refused).toBeInstanceOf(Refused)
    expect((refused as Refused).problem).toMatchObject({ status: 400, code: 'bad-value' })
    expect(reasonOf(refused)).toBe('A wait must be more than 0.')
  })

  it('says something even when the server said nothing', async () => {
    const request = answerOf(Promise.resolve({ error: undefined, response: response(502) }))
    await expect(request).rejects.toThrow('The request failed with status 502.')
  })

  it('says so when nobody answers', async () => {
    const request = answerOf(Promise.reject(new TypeError('Failed to fetch')))
    await expect(request).rejects.toThrow('The application does not answer.')
  })
})

describe('what is wrong with a request', () => {
  const fault = (place: string, sentence: string) => ({ code: 'bad-value', place, sentence })
  const refused = (...problems: ReturnType<typeof fault>[]) =>
    new Refused({ status: 400, code: 'bad-request', detail: 'Some things are wrong.', problems })

  it('stands at its field, all of a field together', () => {
    const three = refused(
      fault('/address', 'No such address.'),
      fault('/tags/0', 'A tag must not be empty.'),
      fault('/tags/2', 'A tag is too long.'),
    )
    expect(faultsOf(three, ['address', 'tags'])).toEqual({
      wrong: {
        address: 'No such address.',
        tags: 'A tag must not be empty. A tag is too long.',
      },
      elsewhere: null,
    })
  })

  it('is told all the same where no field can tell it', () => {
    const two = refused(
      fault('/entrance/title', 'A title has words.'),
      fault('/entrance/name', 'Another entrance is called so.'),
    )
    expect(faultsOf(two, ['entrance/title'])).toEqual({
      wrong: { 'entrance/title': 'A title has words.' },
      elsewhere: 'Another entrance is called so.',
    })
    expect(faultsOf(two, []).elsewhere).toBe('A title has words. Another entrance is called so.')
    expect(faultsOf(refused(fault('', 'No object.')), ['name']).elsewhere).toBe('No object.')
  })

  it('stands at the nearest field above it, not at one whose name begins alike', () => {
    const three = refused(
      fault('/senders/0/address', 'No such address.'),
      fault('/senders/1/name', 'A name is short.'),
      fault('/sendersNote', 'Too long.'),
    )
    expect(faultsOf(three, ['senders', 'senders/0/address'])).toEqual({
      wrong: { 'senders/0/address': 'No such address.', senders: 'A name is short.' },
      elsewhere: 'Too long.',
    })
  })

  it('is the reason where something else failed', () => {
    expect(faultsOf(new Error('gone'), ['name'])).toEqual({ wrong: {}, elsewhere: 'gone' })
    const full = new Refused({ status: 507, code: 'disk-full', detail: 'Full.' })
    expect(faultsOf(full, ['name'])).toEqual({ wrong: {}, elsewhere: 'Full.' })
  })
})

describe('a request', () => {
  const left: Request[] = []

  async function client() {
    class Absolute extends Request {
      constructor(path: string, how?: RequestInit) {
        super(new URL(path, 'http://test.test'), how)
      }
    }
    vi.stubGlobal('Request', Absolute)
    vi.stubGlobal('fetch', (request: Request) => {
      left.push(request)
      return Promise.resolve(new Response('[]'))
    })
    vi.resetModules()
    return (await import('./client')).api
  }

  afterEach(() => {
    vi.unstubAllGlobals()
    left.length = 0
  })

  it('leaves at once, before anything that waits is drawn', async () => {
    const api = await client()
    const answer = api.GET('/api/journeys/names')
    expect(left).toHaveLength(1)
    await answer
  })

  it('says that it is JSON, also where there is nothing to say', async () => {
    const api = await client()
    await api.POST('/api/journeys/{id}/copies', { params: { path: { id: 1 } } })
    expect(left[0]!.headers.get('Content-Type')).toBe('application/json')
  })
})
