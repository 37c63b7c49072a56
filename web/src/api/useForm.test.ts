import { describe, expect, it } from 'vitest'
import { Refused } from './client'
import { useForm } from './useForm'

const refused = (problems: { code: string; place: string; sentence: string }[]) =>
  new Refused({ status: 422, code: 'invalid', detail: 'Not kept.', problems })

describe('a form', () => {
  it('tells at the field what is wrong with it, and only there', async () => {
    const { wrong, failure, told, send } = useForm('address')
    const problem = { code: 'bad-value', place: '/address', sentence: 'There is no @ in it.' }
    expect(await send(() => Promise.reject(refused([problem])))).toBe(false)
    expect(wrong.value).toEqual({ address: 'There is no @ in it.' })
    expect(failure.value).toBeNull()
    expect(told.value).toBe('There is no @ in it.')
  })

  it('never keeps to itself what none of its fields tells', async () => {
    const { wrong, failure, told, send } = useForm('address')
    const problems = [
      { code: 'bad-value', place: '/address', sentence: 'There is no @ in it.' },
      { code: 'bad-value', place: '/zone', sentence: 'There is no such time zone.' },
    ]
    await send(() => Promise.reject(refused(problems)))
    expect(wrong.value).toEqual({ address: 'There is no @ in it.' })
    expect(failure.value).toBe('There is no such time zone.')
    expect(told.value).toBe('There is no @ in it. There is no such time zone.')
  })

  it('tells below what belongs to no field, and forgets it when it is sent again', async () => {
    const { wrong, failure, busy, send } = useForm()
    await send(() => Promise.reject(new Error('The server does not answer.')))
    expect(failure.value).toBe('The server does not answer.')
    const sent = send(() => Promise.resolve())
    expect(busy.value).toBe(true)
    expect(failure.value).toBeNull()
    expect(await sent).toBe(true)
    expect(busy.value).toBe(false)
    expect(wrong.value).toEqual({})
  })
})
