import { expect, it } from 'vitest'
import { Refused } from './client'
import { queryClient } from './queries'

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
