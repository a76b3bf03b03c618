import { expect, test } from 'vitest'
import type { LaneView, Section } from '../src/api/types'
import {
  endOf,
  excessAt,
  farthest,
  limitOf,
  placesOf,
  reachOf,
  sectionRows,
  sectionWidths,
  stretches,
} from '../src/ribbon/geometry'

const leg = (before: number, nullPixels: number, places: number) => ({
  before,
  nullPixels,
  places,
  sections: [],
})

test('legs follow each other along the wire, each after its gap', () => {
  const lane = {
    port: { kind: 'PIXEL' },
    legs: [leg(0, 0, 50), leg(50, 3, 30)],
    load: { limit: 1024 },
  } as unknown as LaneView
  expect(stretches(lane).map(({ from, gap, length }) => [from, gap, length])).toEqual([
    [0, 0, 50],
    [50, 3, 30],
  ])
  expect(limitOf(lane)).toBe(1024)
  expect(placesOf(lane)).toBe(83)
  expect(reachOf({ ...lane, load: undefined, modelLimit: 60 } as LaneView)).toBe(83)
})

test('fixtures lie at their slots', () => {
  const lane = {
    port: { kind: 'DMX' },
    legs: [{ sections: [{ startAt: { universe: 9, channel: 101 }, channels: 12 }] }],
  } as unknown as LaneView
  expect(stretches(lane)[0]).toMatchObject({ from: 100, length: 12 })
  expect(limitOf(lane)).toBe(512)
})

test('a lane ends where its last ribbon is drawn, whatever hangs on it', () => {
  const fixture = (channel: number, channels: number) => ({
    sections: [{ startAt: { universe: 1, channel }, channels }],
  })
  const lanes = [
    { port: { kind: 'PIXEL' }, legs: [leg(0, 0, 50), leg(50, 3, 30)] },
    { port: { kind: 'PIXEL' }, legs: [] },
    { port: { kind: 'DMX' }, legs: [fixture(300, 12), fixture(20, 40)] },
    { port: { kind: 'DMX' }, legs: [{ sections: [] }] },
    { port: { kind: 'RELAY' }, legs: [leg(0, 0, 0), leg(0, 0, 0)] },
    { port: { kind: 'SERIAL' }, legs: [leg(0, 0, 0)] },
    { port: { kind: 'PANEL' }, legs: [leg(0, 0, 0)] },
  ] as unknown as LaneView[]
  expect(lanes.map(endOf)).toEqual(
    lanes.map((lane) =>
      stretches(lane).reduce((far, s) => Math.max(far, s.from + s.gap + s.length), 0),
    ),
  )
  expect(farthest([{ lanes: lanes.slice(0, 2) }])).toBe(100)
  expect(farthest([{ lanes: lanes.slice(0, 2) }, { lanes }])).toBe(512)
  expect(farthest([{ lanes: [{ ...lanes[0], modelLimit: 680 } as LaneView] }])).toBe(680)
})

test('sections of an opened string are to scale, but never too small, and stand in rows', () => {
  const sections = (...counts: number[]) =>
    counts.map((pixels) => ({ pixels, nullPixels: 0 })) as Section[]
  expect(sectionWidths(sections(85, 60), 1000)).toEqual(
    [572.2, 399.8].map((w) => expect.closeTo(w, 0)),
  )
  expect(sectionRows(sections(85, 60), 1000)).toBe(1)
  expect(sectionWidths(sections(14, 4, 4), 600)[2]).toBe(270)
  expect(sectionRows(sections(14, 4, 4), 600)).toBe(2)
  expect(sectionRows(sections(5, 5, 5, 5), 300)).toBe(4)
  expect(sectionWidths(sections(50), 280)).toEqual([270])
})

test('by how much a run is too long is said behind it, and never over the numbers of its lane', () => {
  const told = '+700 over the model'
  expect(excessAt(400, 900, told)).toBe(408)
  const wide = told.length * 6 // what it takes at the very least
  expect(excessAt(895, 900, told)).toBeLessThan(900 - wide)
  expect(excessAt(50, 60, told)).toBe(0)
})
