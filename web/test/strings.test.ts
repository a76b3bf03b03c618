import { expect, test } from 'vitest'
import type { Stage, StringAt } from '../src/api/types'
import { isLeft, leftByZone, reached, shownOf, toggled } from '../src/places/overview/strings'

const string = (piece: string, stage: Stage, more: Partial<StringAt> = {}): StringAt => ({
  piece,
  title: piece,
  zone: 'Wall',
  written: 'K1-1',
  stage,
  by: '',
  elsewhere: false,
  ...more,
})
const trouble = (urgency: 'TONIGHT' | 'SOON' | 'LATER') => ({
  trouble: { reason: 'dark', urgency, owner: '' },
})
const all = [
  string('a', 'SEEN_RIGHT'),
  string('b', 'HUNG'),
  string('c', 'POWERED', trouble('LATER')),
  string('d', 'SEEN_RIGHT', { ...trouble('TONIGHT'), zone: 'Tower' }),
  string('e', 'PLANNED', { stored: { condition: 'GOOD', place: 'box 3' } }),
]
const ids = (what: 'left' | 'trouble' | 'stored' | 'all', zone?: string) =>
  shownOf(all, what, zone, () => true).map((one) => one.piece)

test('what is left tonight: all that nobody has seen right, and what is in trouble, urgent first', () => {
  expect(ids('left')).toEqual(['d', 'c', 'b'])
  expect(ids('left', 'Tower')).toEqual(['d'])
  expect(ids('trouble')).toEqual(['d', 'c'])
  expect(ids('stored')).toEqual(['e'])
  expect(ids('all')).toHaveLength(5)
  expect(shownOf(all, 'all', undefined, (one) => one.piece === 'b')).toHaveLength(1)
  expect(isLeft(all[4])).toBe(false)
  expect([...leftByZone(all)]).toEqual([
    ['Wall', { all: 4, left: 2, trouble: 1 }],
    ['Tower', { all: 1, left: 1, trouble: 1 }],
  ])
})

test('a stage has those before it behind it, and a click on the last one takes it back', () => {
  expect(reached(all[2], 'HUNG')).toBe(true)
  expect(reached(all[1], 'POWERED')).toBe(false)
  expect(reached(all[4], 'TESTED')).toBe(false)
  expect(toggled(all[1], 'POWERED')).toBe('POWERED')
  expect(toggled(all[1], 'HUNG')).toBe('TESTED')
  expect(toggled(string('x', 'TESTED'), 'TESTED')).toBe('PLANNED')
})
