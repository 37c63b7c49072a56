import { expect, test } from 'vitest'
import { span } from './moments'

test('a span is told in the largest unit that it fills', () => {
  expect(span(1)).toBe('1 second')
  expect(span(90 * 60)).toBe('2 hours')
  expect(span(3600)).toBe('1 hour')
  expect(span(3 * 86_400 + 5)).toBe('3 days')
  expect(span(86_399)).toBe('1 day')
})
