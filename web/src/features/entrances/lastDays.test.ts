import { expect, it } from 'vitest'
import { lastDays } from './lastDays'

it('shows days without a visit, too, over the end of a month and of summer time', () => {
  const days = lastDays([{ day: '2027-03-28', visits: 5, signUps: 2 }], '2027-04-05')
  expect(days).toHaveLength(30)
  expect(days[0]!.day).toBe('2027-03-07')
  expect(days.at(-1)!.day).toBe('2027-04-05')
  expect(days.filter((one) => one.visits).map((one) => one.day)).toEqual(['2027-03-28'])
})
