import { describe, expect, it } from 'vitest'
import type { OutputState } from '../src/api/types'
import { clock, lit, troubles } from '../src/shell/lit'

const holder = (who: string, pieces: number, secondsLeft: number) => ({
  who,
  pattern: 'white',
  pieces,
  secondsLeft,
  percent: 30,
  ceiling: 30,
})
const state = (over: Partial<OutputState>): OutputState => ({
  display: 'd',
  version: 1,
  live: false,
  framesPerSecond: 40,
  holders: [holder('Ann', 1, 65)],
  armed: [],
  moving: [],
  frames: 10,
  unsent: 0,
  packets: 100,
  failed: 0,
  worstLateMillis: 0.2,
  leftOut: [],
  ...over,
})

describe('what is lit', () => {
  it('is told with the time until the last of it ends', () => {
    expect(clock(5)).toBe('0:05')
    expect(clock(3725)).toBe('1:02:05')
    expect(lit(state({}))).toBe('1 piece lit · 1:05')
    expect(lit(state({ holders: [holder('Ann', 2, 5), holder('Bo', 3, 1800)] }))).toBe(
      '5 pieces lit by 2 · 30:00',
    )
  })
  it('says what did not go out', () => {
    expect(troubles(state({}))).toEqual([])
    expect(
      troubles(state({ unsent: 1, failed: 2000, leftOut: [{ tag: 'K1', why: 'no address' }] })),
    ).toEqual(['1 frame unsent', '2,000 packets not taken', '1 controller left out'])
  })
})
