import { expect, test } from 'vitest'
import { labels, shortened, summed, type Drawn } from '../src/ribbon/labels'

function row(names: string[], width: number): Drawn[] {
  return names.map((title, i) => ({ title, count: '5', left: i * width, width }))
}
const BOLLARDS = Array.from({ length: 12 }, (_, i) => `Bollard ${i + 1}`)

test('a name that fits stands on its ribbon, its count beside it where there is room', () => {
  expect(labels([{ title: 'Anchor', count: '92', left: 0, width: 90 }], 500).on).toEqual([
    { name: 'Anchor', count: '92' },
  ])
  expect(labels([{ title: 'Anchor', count: '92', left: 0, width: 62 }], 500).on).toEqual([
    { name: 'Anchor', count: '' },
  ])
})

test('twelve bollards too small for their names are named on the free wire behind them', () => {
  const { on, behind } = labels(row(BOLLARDS, 30), 900)
  expect(on.every(({ name }) => name.length <= 2)).toBe(true)
  expect(on.at(-1)!.name).toBe('')
  expect(behind).toBe('Bollard 1 … 12')
})

test('what is told behind is not told again on its ribbon', () => {
  const { on, behind } = labels(
    [{ title: 'Tide clock rim', count: '120', left: 0, width: 90 }],
    600,
  )
  expect(on).toEqual([{ name: '', count: '120' }])
  expect(behind).toBe('Tide clock rim')
})

test('a name without room stands behind only if nothing comes after it', () => {
  const bollards = { title: 'Bollards', count: '72', left: 0, width: 56 }
  const rope = { title: 'Mooring rope', count: '150', left: 56, width: 130 }
  const { on, behind } = labels([bollards, rope], 600)
  expect(on.map(({ name }) => name)).toEqual(['Boll…', 'Mooring rope'])
  expect(behind).toBe('')
})

test('what else stands on a ribbon takes its room: no count is cut', () => {
  const hands = { title: 'Tide clock hands', count: '44', left: 0, width: 34 }
  expect(labels([hands], 600).on[0].count).toBe('44')
  expect(labels([{ ...hands, catch: true }], 600).on[0].count).toBe('')
  expect(labels([{ ...hands, width: 62, box: 'A' }], 600).on[0].count).toBe('44')
})

test('a name runs over the free wire before the next ribbon', () => {
  const flood = { title: 'Flood west', count: '8', left: 0, width: 20 }
  const fog = { title: 'Fog', count: '2', left: 300, width: 90 }
  expect(labels([flood, fog], 600).on[0]).toEqual({ name: '', count: '', over: 'Flood west' })
})

test('without free wire nothing is written behind', () => {
  expect(labels(row(BOLLARDS, 30), 362).behind).toBe('')
})

test('names that begin alike are cut in the middle, others at the end', () => {
  expect(shortened('Bollard 12', 7, BOLLARDS)).toBe('Boll…12')
  expect(shortened('Harbour office', 8, BOLLARDS)).toBe('Harbour…')
  expect(shortened('Bollard 12', 2, BOLLARDS)).toBe('12')
  expect(shortened('Bollard 12', 1, BOLLARDS)).toBe('')
  const rails = ['Rail 1 of the long pier', 'Rail 2 of the long pier']
  expect(shortened(rails[0], 5, rails)).toBe('Rail…')
})

test('names that count on are summed up', () => {
  expect(summed(['Bollard 1', 'Bollard 2', 'Bollard 3', 'Anchor', 'Lamp 9'])).toBe(
    'Bollard 1 … 3, Anchor, Lamp 9',
  )
  expect(summed(['Bollard 1', 'Bollard 3'])).toBe('Bollard 1, Bollard 3')
})
