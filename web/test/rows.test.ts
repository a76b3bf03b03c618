import { describe, expect, it } from 'vitest'
import type { ControllerView, LaneView, PieceView } from '../src/api/types'
import { keepingRows, patchRows, type Shown } from '../src/places/patch/rows'

const lane = (port: number, bank?: number, ...pieces: string[]) =>
  ({
    port: { controller: 'k', kind: 'PIXEL', port },
    bank: bank && { bank },
    legs: pieces.map((piece) => ({ piece })),
  }) as unknown as LaneView
const view = {
  controller: { id: 'k' },
  block: { channels: 30 },
  lanes: [lane(1, 1, 'a'), lane(2, 1), lane(3, 2), lane(4)],
} as unknown as ControllerView
const shown: Shown = { folded: false, has: () => true }
const string = (sections: number) =>
  ({
    piece: {
      kind: 'string',
      sections: Array.from({ length: sections }, () => ({ pixels: 9, nullPixels: 0 })),
    },
  }) as unknown as PieceView
const under = (leg: string, of = string(1)) => ({ leg, of, width: 1000 })
const kinds = (more: Partial<Shown>, of = view) =>
  patchRows(of, { ...shown, ...more }).map((row) => row.kind)

describe('the rows of a controller', () => {
  it('are its head, its banks each before its first lane, its lanes, its addresses', () => {
    expect(kinds({})).toEqual(['head', 'bank', 'lane', 'lane', 'bank', 'lane', 'lane', 'ruler'])
  })
  it('are its head alone where it is folded', () => {
    expect(kinds({ folded: true })).toEqual(['head'])
  })
  it('have no bank whose lanes are all left out', () => {
    expect(kinds({ has: (one) => one.port.port !== 3 })).toEqual([
      'head',
      'bank',
      'lane',
      'lane',
      'lane',
      'ruler',
    ])
  })
  it('have no addresses where nothing has one', () => {
    const bare = { ...view, block: { channels: 0 } } as unknown as ControllerView
    expect(kinds({}, bare)).not.toContain('ruler')
  })
  it('have the glass below the lane of what is enlarged, as high as its sections need', () => {
    expect(kinds({ glass: under('a') }).slice(1, 5)).toEqual(['bank', 'lane', 'glass', 'lane'])
    const height = (sections: number) =>
      patchRows(view, { ...shown, glass: under('a', string(sections)) }).find(
        (row) => row.kind === 'glass',
      )!.height
    expect(height(1)).toBe(274)
    expect(height(7) - height(1)).toBe(3 * 126)
  })
  it('do not end a bank at its glass', () => {
    expect(kinds({ glass: under('a') }).filter((kind) => kind === 'bank')).toHaveLength(2)
  })
})

describe('rows that are kept', () => {
  it('are the same until the controller is another, or is shown another way', () => {
    const rowsOf = keepingRows()
    const first = rowsOf(view, 'all', shown)
    expect(rowsOf(view, 'all', { ...shown })).toBe(first)
    expect(rowsOf({ ...view }, 'all', shown)).not.toBe(first)
    const folded = rowsOf(view, 'all', { ...shown, folded: true })
    expect(folded).toHaveLength(1)
    expect(rowsOf(view, 'all', shown)).toEqual(first)
    const used = rowsOf(view, 'used', { ...shown, has: (one) => one.legs.length > 0 })
    expect(used.map((row) => row.kind)).toEqual(['head', 'bank', 'lane', 'ruler'])
  })
  it('are not those of a controller with a leg under the glass, which may grow', () => {
    const rowsOf = keepingRows()
    const before = rowsOf(view, 'all', shown)
    const few = rowsOf(view, 'all', { ...shown, glass: under('a') })
    const many = rowsOf(view, 'all', { ...shown, glass: under('a', string(9)) })
    const height = (rows: typeof few) => rows.find((row) => row.kind === 'glass')!.height
    expect(height(many)).toBeGreaterThan(height(few))
    expect(rowsOf(view, 'all', shown)).toBe(before)
  })
})
