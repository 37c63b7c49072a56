import { QueryObserver } from '@tanstack/vue-query'
import { expect, it } from 'vitest'
import { Refused } from './client'
import { outdated, queryClient } from './queries'

const refusal = (code: string) => new Refused({ status: 503, code, detail: 'Try again.' })

it('asks again only while the data is being opened anew, and not for ever', () => {
  const retry = queryClient.getDefaultOptions().queries!.retry as (
    tries: number,
    failure: unknown,
  ) => boolean
  expect(retry(0, refusal('storage-reopening'))).toBe(true)
  expect(retry(10, refusal('storage-reopening'))).toBe(false)
  expect(retry(0, refusal('disk-full'))).toBe(false)
  expect(retry(0, new Error('gone'))).toBe(false)
})

it('does not take an answer for new that was asked for before', async () => {
  const given: ((names: string) => void)[] = []
  const watching = new QueryObserver(queryClient, {
    queryKey: ['people', 'names'],
    queryFn: () => new Promise<string>((give) => given.push(give)),
  })
  const stop = watching.subscribe(() => {})
  const told = outdated('people')
  given[0]!('as they were')
  await expect.poll(() => given.length).toBe(2)
  given[1]!('as they are')
  await told
  expect(watching.getCurrentResult().data).toBe('as they are')
  stop()
})
