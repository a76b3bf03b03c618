import { expect, test, vi } from 'vitest'
import { listed } from '../src/parts/listed'

const some = ['a', 'b', 'c'].map((value) => ({ value, title: value.toUpperCase() }))

test('few choices are all listed, wherever anybody is', () => {
  expect(listed(some, 'b', false, 3)).toBe(some)
})

test('of many only the chosen one is, until somebody comes near', () => {
  expect(listed(some, 'b', false, 2)).toEqual([{ value: 'b', title: 'B' }])
  expect(listed(some, undefined, false, 2)).toEqual([])
  expect(listed(some, 'b', true, 2)).toBe(some)
})

test('what costs something to know is not asked before', () => {
  const ask = vi.fn(() => some)
  expect(listed(ask, 'b', false, 24)).toEqual([])
  expect(ask).not.toHaveBeenCalled()
  expect(listed(ask, 'b', true, 2)).toBe(some)
})
