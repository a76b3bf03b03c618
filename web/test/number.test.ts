import { expect, test } from 'vitest'
import { numberComplaint, numberOf } from '../src/parts/number'

test('a comma is the decimal point that it is on many keyboards', () => {
  expect(numberOf('2,5')).toBe(2.5)
  expect(numberOf('2.5')).toBe(2.5)
  expect(numberOf(' 40 ')).toBe(40)
  expect(numberOf('-3,25')).toBe(-3.25)
  expect(numberOf('0,125')).toBe(0.125)
  expect(numberOf('1.024')).toBe(1.024)
})

test('what may be two numbers is asked about, and what is none is none', () => {
  expect(numberOf('1,024')).toBeUndefined()
  expect(numberComplaint('1,024', 0, 2000)).toBe('1,024 may be two numbers: write 1024 or 1.024')
  for (const text of ['', ' ', '0x10', '1e3', '1,2,3', '2,', ',5', 'Infinity', '5 m']) {
    expect(numberOf(text), text).toBeUndefined()
  }
  expect(numberComplaint('0x10', 0, 100)).toBe('0x10: allowed is 0 to 100')
  expect(numberComplaint('', 0, 100)).toBe('Nothing: allowed is 0 to 100')
})
