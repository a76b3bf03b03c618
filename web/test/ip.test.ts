import { expect, test } from 'vitest'
import type { AddressLine } from '../src/api/types'
import { addressOf, bitsOf, DOTTED, nextFree, RANGE } from '../src/places/network/ip'

const line = {
  first: '198.51.100.1',
  last: '198.51.100.254',
  occupants: ['198.51.100.11', '198.51.100.12', '198.51.100.14'].map((address) => ({ address })),
} as unknown as AddressLine

test('addresses are numbers and back', () => {
  for (const address of ['0.0.0.0', '198.51.100.11', '255.255.255.255']) {
    expect(addressOf(bitsOf(address))).toBe(address)
  }
})

test('the next address that nobody has, and nothing beyond the end', () => {
  expect(nextFree(line, '198.51.100.11', 1)).toBe('198.51.100.13')
  expect(nextFree(line, '198.51.100.12', -1)).toBe('198.51.100.10')
  expect(nextFree(line, '198.51.100.254', 1)).toBeUndefined()
  expect(nextFree(line, '198.51.100.1', -1)).toBeUndefined()
})

test('an address is four numbers from 0 to 255, and a range is two of them', () => {
  for (const good of ['198.51.100.11', '0.0.0.0', '255.255.255.255', '10.0.0.010']) {
    expect(DOTTED.test(good), good).toBe(true)
  }
  for (const bad of ['198.51.100.256', '198.51.100.999', '1.2.3', '1.2.3.4.5', '1.2.3.x', '']) {
    expect(DOTTED.test(bad), bad).toBe(false)
  }
  expect(RANGE.test('198.51.100.100 – 198.51.100.199')).toBe(true)
  expect(RANGE.test('198.51.100.100-198.51.100.299')).toBe(false)
})
