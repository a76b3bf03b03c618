import { expect, test } from 'vitest'
import type { FeedView, LaneView } from '../src/api/types'
import { cellsOf } from '../src/places/loads/loadColumns'

/** A run of 60 A in all behind a socket with a fuse of 10 A, with another feed of 40 A. */
function lane(feeds: Partial<FeedView>[], volts = 11): LaneView {
  return {
    load: {
      pixels: 100,
      nullPixels: 0,
      limit: 1000,
      limitBy: 'MODEL',
      framesPerSecond: 40,
      frameShare: 0.5,
      amps: 60,
      fuseAmps: 10,
      packetsPerSecond: 0,
      megabitsPerSecond: 0,
      mostMegabits: 70,
    },
    power: { feeds, unfed: 0, volts: { volts, leastVolts: 9.5, suppliedVolts: 12, position: 3 } },
  } as unknown as LaneView
}

test('amperes are those of each feed, not of the run', () => {
  const feeds = [
    { amps: 8, fullAmps: 20, fuseAmps: 10 },
    { amps: 30, fullAmps: 90, fuseAmps: 40 },
  ]
  expect(cellsOf(lane(feeds)).amps.share).toBeCloseTo(0.8)
  expect(cellsOf(lane(feeds)).full.text).toBe('90.0 / 40 A')
})

test('at no voltage it is dark', () => {
  expect(cellsOf(lane([], 0)).volts.text).toBe('dark')
  expect(cellsOf(lane([], 4.29)).volts.text).toBe('4.29 V')
  expect(cellsOf(lane([], 4.2999)).volts.text).toBe('4.29 V')
})
