import { expect, test } from 'vitest'
import type { FeedView, LaneView } from '../src/api/types'
import { toldVolts } from '../src/parts/volts'
import { cellsOf } from '../src/places/loads/loadColumns'

/** A run of 60 A in all behind a socket with a fuse of 10 A, with another feed of 40 A. */
function lane(feeds: Partial<FeedView>[], volts?: object): LaneView {
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
    power: { feeds, unfed: 0, volts },
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

test('a voltage is shown in the words of the server, and without one it is dark', () => {
  expect(cellsOf(lane([])).volts.text).toBe('dark')
  const volts = {
    volts: 10,
    told: '10.00 V',
    leastVolts: 9.4,
    leastTold: '9.40 V',
    suppliedVolts: 12,
  }
  const cell = cellsOf(lane([], volts)).volts
  expect(cell.text).toBe('10.00 V')
  expect(cell.told).toContain('Works from 9.40 V of 12 V')
})

test('a point of a curve is rounded down, and at nothing it is dark', () => {
  expect(toldVolts(0)).toBe('dark')
  expect(toldVolts(4.29)).toBe('4.29 V')
  expect(toldVolts(4.2999)).toBe('4.29 V')
})
