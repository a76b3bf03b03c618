import { describe, expect, it } from 'vitest'
import type { LaneView, PieceView } from '../src/api/types'
import { drawnLegs, type KnownOf } from '../src/ribbon/drawnLegs'
import { stretches } from '../src/ribbon/geometry'

const leg = (piece: string, before: number, more: object = {}) => ({
  piece,
  title: piece.toUpperCase(),
  before,
  nullPixels: 2,
  places: 40,
  pixels: 38,
  sections: [{ start: '12:301', held: piece === 'a' }],
  ...more,
})
const lane = {
  port: { controller: 'k6', kind: 'PIXEL', port: 9 },
  written: 'K6-9',
  bank: { bank: 3, socket: 1, boxes: 3 },
  legs: [leg('a', 0), leg('b', 42, { box: 2, mirrorOf: 'a' }), leg('c', 84, { box: 2 })],
} as unknown as LaneView

const strings = new Map<string, PieceView>()
for (const id of ['a', 'b', 'c']) {
  strings.set(id, {
    title: `String ${id}`,
    piece: {
      kind: 'string',
      sections: [
        { pixels: 20, nullPixels: 3, fold: 10 },
        { pixels: 15, nullPixels: 0 },
      ],
    },
  } as unknown as PieceView)
}
const known: KnownOf = {
  view: (piece) => strings.get(piece),
  wrong: (piece) => (piece === 'c' ? { fault: true, told: 'too much' } : undefined),
  progress: (piece) =>
    piece === 'c' ? { stage: 'PLUGGED_IN', trouble: { reason: 'flickers' } } : undefined,
}

describe('the legs of a run as they are drawn', () => {
  const drawn = drawnLegs(lane, stretches(lane), 2, known)

  it('lie behind their gaps, to scale, and wide enough to point at', () => {
    expect(drawn.map((d) => [d.left, d.width])).toEqual([
      [4, 79],
      [88, 79],
      [172, 79],
    ])
    expect(drawnLegs(lane, stretches(lane), 0.1, known)[0].width).toBe(14)
  })

  it('are marked where sections end, pass on and fold', () => {
    expect(drawn[0].nulls).toEqual([{ at: 0, wide: 6 }])
    expect(drawn[0].folds).toEqual([26])
    expect(drawn[0].sections).toEqual([46])
    expect(drawnLegs(lane, stretches(lane), 0.4, known)[0].folds).toEqual([])
  })

  it('name a box where it is another than the one before', () => {
    expect(drawn.map((d) => d.box)).toEqual(['A', 'B', ''])
  })

  it('are told with what is held, mirrored, wrong and reported', () => {
    expect(drawn[0].told).toBe('A 38 pixels, starts 12:301, held, on K6-9')
    expect(drawn[1].told).toBe('B 38 pixels, starts 12:301, mirrors String a, on K6-9')
    expect(drawn[2].told).toBe('C 38 pixels, starts 12:301, on K6-9, in trouble: flickers')
    expect(drawn[2].tip).toBe('C\nplugged in\n▲ flickers\ntoo much')
    expect(drawn[2].wrong?.fault).toBe(true)
  })
})
