import { expect, test } from 'vitest'
import {
  gapTold,
  HELD,
  matching,
  rowsOf,
  slotOf,
  standsAt,
  totals,
} from '../src/places/addresses/gridRows'
import { namesOn, slotAt } from '../src/places/addresses/drawGrid'
import { shadowsOf } from '../src/places/addresses/gridShadows'
import { headsKey, remember, remembered } from '../src/places/addresses/sheetHeads'
import { separated } from '../src/places/addresses/tableRows'

const grid = {
  version: 1,
  domains: ['a'],
  pieces: ['p', 'q'],
  // universe 5 of the second controller, bytes of the first
  rows: [0, 1, 5, 510, -1, 2, 0, 0, 0, 1440, 0, 1],
  stretches: [0, 0, 1, 300, HELD, 1, 0, 299, 507, 0, 1, 2, 10, 40, 0],
}

test('rows are unpacked, by source and controller', () => {
  const rows = rowsOf(grid, (controller) => -controller)
  expect(rows.map((row) => row.number)).toEqual([5, 0])
  expect(rows[0].stretches[0]).toEqual({ piece: 'p', section: 0, first: 1, last: 300, marks: HELD })
  expect(standsAt(rows[0], 300).map((one) => one.piece)).toEqual(['p', 'q'])
  expect(slotOf(rows[0], 17)).toBe('5:17')
  expect(slotOf(rows[1], 10)).toBe('byte 9')
  expect(gapTold(rows[0], 509)).toBe('left over: no whole pixel fits')
  expect(gapTold(rows[1], 5)).toBe('free between')
  expect(totals(rows)).toEqual({ slots: 1950, taken: 538, overlapping: 0 })
})

test('a stretch has as much of its name on it as has room, and ends tell names apart', () => {
  const titles: Record<string, string> = { p: 'Bow rail 12', q: 'Bow rail 13' }
  const title = (piece: string) => titles[piece]
  const width = (scale: number) => 118 + 12 + 512 * scale
  const [row] = rowsOf(grid, (controller) => -controller)
  // 300 slots, and 209
  expect(namesOn(row, width(1), title)).toEqual(['Bow rail 12', 'Bow rail 13'])
  // (300 × 0.25 - 1 - 16) px have room for nine letters, (209 × 0.25 - 1 - 8) px for six
  expect(namesOn(row, width(0.25), title)).toEqual(['Bow ra…12', 'Bow…13'])
  expect(namesOn(row, width(0.05), title)).toEqual(['', ''])
})

test('each word of a filter is looked for in controller, universe, pieces and what is wrong', () => {
  const rows = rowsOf(grid, (controller) => -controller)
  const found = (filter: string) =>
    matching(
      rows,
      filter,
      (place) => `K${place + 1}`,
      (piece) => ({ p: 'Bow rail', q: 'Pennants' })[piece],
    ).map((row) => row.number)
  expect(found('')).toEqual([5, 0])
  expect(found('k2')).toEqual([5])
  expect(found('PENN bow')).toEqual([5])
  expect(found('held')).toEqual([5])
  expect(found('k1 held')).toEqual([])
  expect(found('byte')).toEqual([0])
  expect(found('overlapping')).toEqual([])
})

test('a place on the canvas is a slot, and nothing beside the row', () => {
  const [row] = rowsOf(grid, () => 0)
  const width = 118 + 12 + 512 * 2
  const universe = rowsOf(grid, (controller) => -controller)[0]
  expect(slotAt(universe, 118, width)).toBe(1)
  expect(slotAt(universe, 118 + 2 * 509 + 1, width)).toBe(510)
  expect(slotAt(universe, 118 + 2 * 510 + 1, width)).toBeUndefined()
  expect(slotAt(row, 10, width)).toBeUndefined()
})

test('what columns mean is remembered by their heads', () => {
  const columns = [
    { head: 'Was', example: '' },
    { head: 'Wieviel', example: '' },
  ]
  const stored = remember(columns, 'PROP,PIXELS', null)
  expect(headsKey(columns)).toBe('was|wieviel')
  expect(remembered(columns, stored)).toBe('PROP,PIXELS')
  expect(remembered([{ head: 'Was', example: '' }], stored)).toBeUndefined()
})

test('nothing that is copied is a formula', () => {
  expect(separated(['a'], [['=1+1'], ['x\ty']])).toBe("a\n'=1+1\nx y")
})

test('what stands elsewhere now has its shadow at the slots that it had', () => {
  const rows = rowsOf(
    {
      ...grid,
      // universes 5 and 6 of K2, bytes of K1
      rows: [0, 1, 5, 510, -1, 1, 0, 1, 6, 510, -1, 1, 0, 0, 0, 1440, 0, 1],
      stretches: [0, 0, 1, 300, 0, 0, 1, 1, 90, 0, 1, 0, 10, 40, 0],
    },
    (controller) => controller,
  )
  const at = (piece: string, section: number, channels: number, channel: number) => ({
    ...{ prop: piece, name: piece, title: piece, written: '', own: 1, displayStart: 1 },
    piece,
    section,
    channels,
    controller: 'K2',
    start: { universe: 5, channel },
  })
  const tags = (place: number) => ['K1', 'K2'][place]
  const same = at('p', 1, 300, 1)
  const over = at('gone', 1, 60, 481)
  const bytes = { ...at('q', 1, 31, 1), controller: 'K1', start: undefined, own: 12 }
  const shadows = shadowsOf(rows, [same, over, bytes], tags)
  expect(shadows.get(0)).toEqual([{ piece: 'gone', title: 'gone', first: 481, last: 510 }])
  expect(shadows.get(1)).toEqual([{ piece: 'gone', title: 'gone', first: 1, last: 30 }])
  expect(shadows.get(2)).toEqual([{ piece: 'q', title: 'q', first: 12, last: 42 }])
})
