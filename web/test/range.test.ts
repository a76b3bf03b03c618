import { expect, test } from 'vitest'
import { range } from '../src/parts/range'

test('a range goes from where it began to where it is, either way', () => {
  const order = ['a', 'b', 'c', 'd']
  expect(range(order, 'b', 'd')).toEqual(['b', 'c', 'd'])
  expect(range(order, 'd', 'b')).toEqual(['b', 'c', 'd'])
  expect(range(order, undefined, 'c')).toEqual(['c'])
  expect(range(order, 'gone', 'c')).toEqual(['c'])
})
