import { expect, test } from 'vitest'
import type { ControllerView, DisplayView, LaneView } from '../src/api/types'
import { capacityLeft, seenRight, zoneProgress } from '../src/places/overview/progress'

const piece = (id: string, pixels: number) => ({ piece: { id, kind: 'string' }, pixels })
const display = {
  zones: [
    { id: 'z', name: 'Yard' },
    { id: 'y', name: 'Empty' },
  ],
  props: [
    { prop: { zone: 'z' }, pieces: [piece('a', 50), piece('b', 60)] },
    { prop: {}, pieces: [piece('c', 7)] },
  ],
} as unknown as DisplayView

test('a zone knows what hangs and what was given', () => {
  const lanes: Record<string, string> = { a: 'k1', b: 'k2' }
  const lane = (id: string) =>
    lanes[id] ? ({ port: { controller: lanes[id] } } as LaneView) : undefined
  const isGiven = (controller: string) => controller === 'k1'
  expect(zoneProgress(display, lane, isGiven, (id) => id === 'b')).toEqual([
    { id: 'z', name: 'Yard', pieces: 2, patched: 2, given: 1, strings: 2, seen: 1, pixels: 110 },
    { id: '', name: 'No zone', pieces: 1, patched: 0, given: 0, strings: 0, seen: 0, pixels: 7 },
  ])
})

test('room is what ports take beyond what hangs there', () => {
  const view = {
    lanes: [
      {
        present: true,
        port: { kind: 'PIXEL' },
        legs: [1],
        load: { limit: 400, pixels: 430, nullPixels: 0 },
      },
      { present: true, port: { kind: 'PIXEL' }, legs: [], modelLimit: 800 },
      { present: true, port: { kind: 'RELAY' }, legs: [] },
      { present: false, port: { kind: 'PIXEL' }, legs: [], modelLimit: 800 },
    ],
  } as unknown as ControllerView
  expect(capacityLeft(view)).toEqual({ ports: 2, all: 4, pixels: 800 })
})

test('strings seen right are counted by controller, and nothing but strings', () => {
  const view = {
    lanes: [{ legs: [{ piece: 'a' }, { piece: 'lamp' }] }, { legs: [{ piece: 'b' }] }],
  }
  const counts = seenRight(
    view as unknown as ControllerView,
    (id) => id !== 'lamp',
    (id) => id === 'b' || id === 'lamp',
  )
  expect(counts).toEqual({ strings: 2, seen: 1 })
})
