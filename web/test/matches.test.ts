import { expect, test } from 'vitest'
import { fits, matches } from '../src/parts/matches'

const bollard = { texts: ['Bollard 12', 'Quay', 'K1-7'], count: 72, wrong: true }

test('every word stands somewhere', () => {
  expect(fits('quay boll', bollard)).toBe(true)
  expect(fits('quay rope', bollard)).toBe(false)
  expect(fits('', bollard)).toBe(true)
  expect(fits(null, bollard)).toBe(true)
  expect(matches('k1-7', 'Bollard 12', undefined, 'K1-7')).toBe(true)
})

test('pixels are compared, with and without a space', () => {
  expect(fits('> 70', bollard)).toBe(true)
  expect(fits('quay >72', bollard)).toBe(false)
  expect(fits('<100 > 50', bollard)).toBe(true)
  expect(fits('> 1', { texts: ['Host'] })).toBe(false)
})

test('what is wrong is asked for by that word', () => {
  expect(fits('wrong quay', bollard)).toBe(true)
  expect(fits('wrong', { texts: ['Anchor'], wrong: false })).toBe(false)
})
