import { expect, it } from 'vitest'
import type { LaneView } from '../src/api/types'
import { pictureOf } from '../src/ribbon/plainBlocks'

const lane = (legs: object[]) => ({ port: { kind: 'PIXEL' }, legs }) as unknown as LaneView
const leg = (before: number, nullPixels: number, places: number, zone?: string) => ({
  before,
  nullPixels,
  places,
  zone,
})

it('each ribbon is a block where its pixels are, in the colour of its zone', () => {
  const image = pictureOf(lane([leg(0, 2, 40, 'gate'), leg(42, 0, 10)]), 80, (zone) =>
    zone === 'gate' ? 'red' : 'grey',
  )
  expect(image).toBe(
    'linear-gradient(90deg, transparent 0% 2.5%, ' +
      'color-mix(in srgb, red 45%, transparent) 2.5% max(2.5% + 2px, 52.5% - 1px), ' +
      'transparent max(2.5% + 2px, 52.5% - 1px) 52.5%, ' +
      'color-mix(in srgb, grey 45%, transparent) 52.5% max(52.5% + 2px, 65% - 1px), ' +
      'transparent max(52.5% + 2px, 65% - 1px))',
  )
})

it('nothing is drawn where nothing hangs', () => {
  expect(pictureOf(lane([]), 80, () => 'red')).toBe('none')
})
