import { expect, test } from 'vitest'
import type { LaneView } from '../src/api/types'
import { addFeed, changeFeed, moveFeed, placeOf } from '../src/places/loads/feeds'

const lane = {
  port: { kind: 'PIXEL' },
  legs: [
    {
      piece: 'a',
      title: 'A',
      before: 0,
      nullPixels: 0,
      places: 50,
      pixels: 50,
      feeds: [{ supply: 's', position: 10 }],
    },
    { piece: 'b', title: 'B', before: 50, nullPixels: 2, places: 30, pixels: 30, feeds: [] },
  ],
} as unknown as LaneView

test('a place along the run is a pixel of a string; a gap belongs to what follows', () => {
  expect(placeOf(lane, 50)).toEqual({ piece: 'a', position: 50 })
  expect(placeOf(lane, 52)).toEqual({ piece: 'b', position: 1 })
  expect(placeOf(lane, 53)).toEqual({ piece: 'b', position: 1 })
  expect(placeOf(lane, 999)).toEqual({ piece: 'b', position: 30 })
})

test('a feed says what changes of it, and nothing else', () => {
  expect(changeFeed({ piece: 'a', index: 0 }, { fuseAmps: undefined })).toEqual({
    type: 'SetFeed',
    piece: 'a',
    index: 0,
    set: { fuseAmps: null },
  })
  expect(addFeed(lane, 60, { supply: 's' })).toEqual({
    type: 'AddFeeds',
    piece: 'b',
    feeds: [{ supply: 's', position: 8 }],
  })
})

test('a feed that moves to another string leaves the one it was on', () => {
  expect(moveFeed(lane, { piece: 'a', index: 0 }, 20)).toMatchObject({ set: { position: 20 } })
  expect(moveFeed(lane, { piece: 'a', index: 0 }, 60)).toMatchObject({
    type: 'Together',
    edits: [{ type: 'RemoveFeed' }, { type: 'AddFeeds', piece: 'b' }],
  })
})
