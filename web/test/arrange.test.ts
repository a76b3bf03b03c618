import { describe, expect, it } from 'vitest'
import type { ArrangeCost, ArrangeView } from '../src/api/types'
import { costTold, stepTold, wishesTold } from '../src/parts/arrangeWords'
import { keeping } from '../src/state/arranging'

const COST: ArrangeCost = {
  controllers: 3,
  another: 2,
  outlets: 9,
  metres: 1234.4,
  boxes: 1,
  splitProps: 1,
  outOfOrder: 2,
  twinsApart: 1,
  zonesOver: 0,
  fullest: { written: 'K2-5', amps: 3.96, fuseAmps: 4 },
  least: { controllers: 2, another: 1, outlets: 7, metres: 900 },
}

function view(cost: Partial<ArrangeCost>, from?: string): ArrangeView {
  const hung = ['a', 'b'].map((piece) => ({
    piece,
    title: piece,
    port: { controller: 'k1', kind: 'PIXEL' as const, port: 1 },
    written: 'K1-1',
    because: 'near',
    from: piece === 'b' ? from : undefined,
  }))
  return {
    version: 1,
    title: 'easiest to hang',
    proposal: {
      aim: 'EASIEST',
      hung,
      left: [{ piece: 'c', title: 'c', because: 'full' }],
      cost: { ...COST, ...cost },
      stopped: false,
    },
  }
}

describe('a proposal in words', () => {
  it('says how many have a place, and how many move', () => {
    expect(costTold(view({}), 3)).toBe('2 of 3 · 3 controllers · 9 ports · 1,234 m')
    expect(costTold(view({}, 'K4-2'), 9)).toBe(
      '1 of 2 · 1 piece moved · 3 controllers · 9 ports · 1,234 m',
    )
  })

  it('says what no way goes below, and which wishes are not met', () => {
    expect(wishesTold(view({}))).toEqual([
      '2 controllers on which nothing hung; no way takes under 1',
      '9 ports; no way takes under 7',
      '1,234 m of cable; no way takes under 900 m',
      '1 more remote box',
      'fullest fuse K2-5: 4.0 of 4 A',
      '1 prop over two controllers',
      '2 strings of a prop not on the next port',
      '1 pair of twins on ports that do not match',
    ])
    const best = view({ another: 1, boxes: 0, metres: 0, splitProps: 0, outOfOrder: 0 })
    expect(wishesTold(best)[0]).toBe('1 controller on which nothing hung; fewer are not possible')
    expect(wishesTold(best)).not.toContain('0 m of cable; no way takes under 900 m')
  })

  it('sets what hangs now beside it where that may move', () => {
    expect(wishesTold({ ...view({}), now: { ...COST, metres: 2000, twinsApart: 0 } }).at(-1)).toBe(
      'all of it as it hangs now: 3 controllers, 2,000 m, 1 prop over two controllers, 2 strings of a prop not on the next port',
    )
  })

  it('says how far it is', () => {
    expect(stepTold({ phase: 'HANGING', done: 812, of: 2129 })).toBe(
      'looking for places, 812 of 2,129 pieces',
    )
    expect(stepTold({ phase: 'CHECKING', done: 2, of: 0 })).toBe('checking what hangs, round 3')
    expect(stepTold({ done: 0, of: 0 })).toBe('looking …')
  })
})

describe('a part of a proposal', () => {
  const whole = {
    type: 'HangPieces' as const,
    at: [
      { port: { controller: 'k1', kind: 'PIXEL' as const, port: 1 }, pieces: ['a', 'b'] },
      { port: { controller: 'k1', kind: 'PIXEL' as const, port: 2 }, pieces: ['c'] },
    ],
    move: true,
    boxes: { a: 2, c: 3 },
  }

  it('leaves out pieces with their boxes, and ports on which nothing is hung then', () => {
    expect(keeping(whole, new Set(['b', 'c']))).toEqual({
      ...whole,
      at: [{ ...whole.at[0], pieces: ['a'] }],
      boxes: { a: 2 },
    })
    expect(keeping(whole, new Set(['a', 'b', 'c']))).toBeUndefined()
  })
})
