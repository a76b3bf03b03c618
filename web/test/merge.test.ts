import { expect, test } from 'vitest'
import { merge, put, sameWhereEqual } from '../src/state/merge'

const id = (entry: { id: string }) => entry.id
const now = [
  { id: 'a', n: 1 },
  { id: 'b', n: 1 },
]

test('changed entries stand where they stood, and untouched ones are the same', () => {
  const merged = merge(now, [{ id: 'b', n: 2 }], undefined, id)
  expect(merged).toEqual([
    { id: 'a', n: 1 },
    { id: 'b', n: 2 },
  ])
  expect(merged[0]).toBe(now[0])
})

test('an order says what came, what went and what moved', () => {
  expect(merge(now, [{ id: 'c', n: 3 }], ['c', 'a'], id)).toEqual([
    { id: 'c', n: 3 },
    { id: 'a', n: 1 },
  ])
})

test('a list in which nothing changed is the same one', () => {
  expect(merge(now, [], undefined, id)).toBe(now)
  expect(merge(now, [], ['b', 'a'], id).map(id)).toEqual(['b', 'a'])
})

test('entries are put where they are told to stand, and what is behind the end is gone', () => {
  const list = ['a', 'b', 'c', 'd']
  expect(put(list, undefined)).toBe(list)
  expect(put(list, { size: 4, places: [1], entries: ['x'] })).toEqual(['a', 'x', 'c', 'd'])
  expect(put(list, { size: 2, places: [], entries: [] })).toEqual(['a', 'b'])
  expect(put(list, { size: 5, places: [3, 4], entries: ['y', 'z'] })).toEqual([
    'a',
    'b',
    'c',
    'y',
    'z',
  ])
  expect(list).toEqual(['a', 'b', 'c', 'd'])
})

test('what says the same in the same place is the very same', () => {
  const before = [{ n: 1 }, { n: 2 }, { n: 3 }]
  const after = sameWhereEqual(before, [{ n: 1 }, { n: 5 }, { n: 3 }, { n: 2 }])
  expect(after.map(({ n }) => n)).toEqual([1, 5, 3, 2])
  expect(after.map((entry, place) => entry === before[place])).toEqual([true, false, true, false])
  expect(sameWhereEqual(before, [])).toEqual([])
})
