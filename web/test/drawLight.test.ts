import { describe, expect, it } from 'vitest'
import type { LaneView } from '../src/api/types'
import {
  countOf,
  drawRow,
  NAME_WIDTH,
  pixelAt,
  ROW,
  rowsOf,
  scaleOf,
  type Ink,
} from '../src/places/trial/drawLight'
import type { PortPixels } from '../src/places/trial/pixels'

const port = (kind: string, number = 1) => ({ controller: 'k', kind, port: number }) as never
const shows = (kind: string, width: number, meant: number[], shown?: number[], more = {}) =>
  ({
    port: port(kind),
    width,
    meant: Uint8Array.from(meant),
    shown: shown && Uint8Array.from(shown),
    differing: 0,
    planned: true,
    ...more,
  }) as PortPixels
const string = (piece: string, before: number, places: number, nullPixels = 0) => ({
  piece,
  before,
  nullPixels,
  places,
  sections: [],
})
const wire = (...legs: object[]) =>
  ({ port: port('PIXEL'), written: 'K1-1', legs }) as unknown as LaneView

const ink: Ink = {
  text: 'text',
  quiet: 'quiet',
  line: 'line',
  fault: 'fault',
  copper: 'copper',
  night: 'night',
  brightest: 255,
  zoneOf: (piece) => `zone of ${piece}`,
  titleOf: (piece) => `Title of ${piece}`,
}
type Drawn = { ink: string; text?: string; at?: number[] }
/** Draws a row on nothing, and tells what was drawn. */
function drawn(pixels: PortPixels, lane?: LaneView, columns = 0, picked = ''): Drawn[] {
  const all: Drawn[] = []
  const context = {
    fillStyle: '',
    fillRect: (...at: number[]) => all.push({ ink: context.fillStyle, at }),
    fillText: (text: string) => all.push({ ink: context.fillStyle, text }),
    strokeRect: () => undefined,
  }
  const [row] = rowsOf(
    [pixels],
    () => lane,
    () => columns,
    'K1',
  )
  drawRow(context as never, row, 486, 20, ink, (piece) => piece === picked)
  return all
}
const row = (pixels: PortPixels, columns = 0) =>
  rowsOf(
    [pixels],
    () => undefined,
    () => columns,
    'K1',
  )[0]
const grey = (...levels: number[]) => levels.flatMap((one) => [one, one, one])

describe('rows of light', () => {
  it('stand below each other; a wall takes room for its picture', () => {
    const ports = [shows('PIXEL', 3, []), shows('PANEL', 3, grey(1, 2)), shows('RELAY', 1, [255])]
    const rows = rowsOf(
      ports,
      (of) => (of === ports[0] ? wire() : undefined),
      () => 2,
      'K1',
    )
    expect(rows.map((one) => one.top)).toEqual([0, ROW, ROW + rows[1].height])
    expect(rows[1].height).toBeGreaterThan(ROW)
    expect(rows.map((one) => one.columns)).toEqual([0, 2, 0])
    expect(rows.map((one) => one.written)).toEqual(['K1-1', 'K1-1', 'K1-1'])
  })
  it('have as many pixels as are meant or shown, whichever are more', () => {
    expect(countOf(shows('PIXEL', 3, grey(1, 2)))).toBe(2)
    expect(countOf(shows('PIXEL', 3, grey(1), grey(1, 2, 3)))).toBe(3)
  })
  it('are to scale of the longest, but never broader than reads well', () => {
    expect(scaleOf(row(shows('PIXEL', 3, grey(1))), 486, 100)).toBe(4)
    expect(scaleOf(row(shows('PIXEL', 3, grey(1))), 486, 2)).toBe(26)
    expect(scaleOf(row(shows('RELAY', 1, [0])), 486, 100)).toBe(34)
  })
})

describe('the pixel under the pointer', () => {
  it('of a string is counted from where it begins', () => {
    const one = row(shows('PIXEL', 3, grey(0, 0, 0)))
    const at = (x: number) => pixelAt(one, NAME_WIDTH + x, 3, 486, 100)
    expect([at(-1), at(0), at(3.9), at(4), at(11), at(12)]).toEqual([
      undefined,
      0,
      0,
      1,
      2,
      undefined,
    ])
  })
  it('of a wall is the same in the picture that is meant and in the one that is shown', () => {
    const one = row(shows('PANEL', 1, [0, 0, 0, 0, 0, 0]), 3)
    const scale = scaleOf(one, 486, 100)
    const at = (column: number, line: number) =>
      pixelAt(one, NAME_WIDTH + (column + 0.5) * scale, (line + 0.5) * scale, 486, 100)
    expect([at(0, 0), at(2, 0), at(0, 1), at(2, 1)]).toEqual([0, 2, 3, 5])
    expect([at(5, 0), at(7, 1)]).toEqual([0, 5])
    expect([at(3, 0), at(4, 0), at(0, 2), at(-1, 0)]).toEqual(Array(4).fill(undefined))
  })
})

describe('a row', () => {
  it('shows what is meant above what is shown, and nothing where it is dark', () => {
    const all = drawn(shows('PIXEL', 3, [255, 0, 0, 0, 0, 0], [255, 0, 0, 0, 0, 0]))
    const lit = all.filter((one) => one.ink === 'rgb(255 0 0)')
    expect(lit.map((one) => one.at![0])).toEqual([NAME_WIDTH, NAME_WIDTH])
    expect(lit[0].at![1]).toBeLessThan(lit[1].at![1])
    expect(all.some((one) => one.ink === 'fault')).toBe(false)
  })
  it('marks where the two differ, and its name says so', () => {
    const all = drawn(
      shows('PIXEL', 3, grey(9, 9, 9), grey(9, 0, 9), { differing: 1 }),
      wire(string('p', 0, 3)),
    )
    expect(all[0]).toEqual({ ink: 'fault', text: '▲K1-1' })
    const marks = all.filter((one) => one.ink === 'fault' && one.at)
    expect(marks.map((one) => one.at![0])).toEqual([NAME_WIDTH + 20])
  })
  it('tells of nobody who does not answer that he differs', () => {
    const all = drawn(shows('PIXEL', 3, grey(9, 9)))
    expect(all.filter((one) => one.ink === 'fault')).toEqual([])
  })
  it('names what hangs where its pixels are, behind its null pixels; what is picked broader', () => {
    const lane = wire(string('a', 0, 8, 2), string('b', 10, 10))
    const all = drawn(shows('PIXEL', 3, grey(...Array(20).fill(0))), lane, 0, 'b')
    const under = (colour: string) => all.find((one) => one.ink === colour && one.at)!.at!
    expect(under('zone of a')[0]).toBe(NAME_WIDTH + 2 * 20)
    expect(under('copper')[0]).toBe(NAME_WIDTH + 10 * 20)
    expect(under('copper')[3]).toBeGreaterThan(under('zone of a')[3])
    expect(all.filter((one) => one.text).map((one) => one.text)).toEqual([
      'K1-1',
      'Title of a',
      'Title of b',
    ])
  })
  it('of a circuit names one lamp each', () => {
    const lane = { ...wire({ ...string('r', 0, 0) }), port: port('RELAY') } as LaneView
    const all = drawn(shows('RELAY', 1, [255], [0]), lane)
    const under = all.find((one) => one.ink === 'zone of r')!.at!
    expect([under[0], under[2]]).toEqual([NAME_WIDTH, 32])
  })
  it('of a wall shows both pictures, and of one that does not answer a dark one', () => {
    const meant = [255, 0, 0, 255]
    const both = drawn(shows('PANEL', 1, meant, meant), undefined, 2)
    const lit = (all: Drawn[]) => all.filter((one) => one.ink.startsWith('rgb'))
    expect(lit(both)).toHaveLength(4)
    const [first, second, third] = lit(both).map((one) => one.at!)
    expect(second[0] - first[0]).toBe(second[1] - first[1])
    expect(third[0] - first[0], 'beside it').toBeGreaterThan(2 * (second[0] - first[0]))
    const silent = drawn(shows('PANEL', 1, meant), undefined, 2)
    expect(lit(silent)).toHaveLength(2)
    expect(silent.filter((one) => one.ink === 'night')).toHaveLength(2)
  })
})
