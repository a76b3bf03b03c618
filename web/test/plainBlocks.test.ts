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
  const image = pictureOf(
    lane([leg(0, 2, 40, 'gate'), leg(42, 0, 10), leg(52, 0, 1)]),
    1.5,
    (zone) => (zone === 'gate' ? 'red' : 'grey'),
  )
  expect(image).toBe(
    'linear-gradient(90deg, transparent 0px 3px, red 3px 62px, ' +
      'transparent 62px 63px, grey 63px 77px, ' +
      // one pixel is as wide as can be seen
      'transparent 77px 78px, grey 78px 80px, transparent 80px)',
  )
})

it('nothing is drawn where nothing hangs', () => {
  expect(pictureOf(lane([]), 1, () => 'red')).toBe('none')
})
