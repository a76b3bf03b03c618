import { expect, it } from 'vitest'
import type { LaneView } from '../src/api/types'
import { blocksOf } from '../src/ribbon/plainBlocks'

const lane = (legs: object[]) => ({ port: { kind: 'PIXEL' }, legs }) as unknown as LaneView
const leg = (before: number, nullPixels: number, places: number, zone?: string) => ({
  before,
  nullPixels,
  places,
  zone,
})

it('each ribbon is a block where its pixels are, in the colour of its zone', () => {
  const image = blocksOf(lane([leg(0, 2, 40, 'gate'), leg(42, 0, 10)]), 2, (zone) =>
    zone === 'gate' ? 'red' : 'grey',
  )
  expect(image).toBe(
    'linear-gradient(90deg, transparent 0px 4px, ' +
      'color-mix(in srgb, red 45%, transparent) 4px 83px, transparent 83px 84px, ' +
      'color-mix(in srgb, grey 45%, transparent) 84px 103px, transparent 103px)',
  )
})

it('nothing is drawn where nothing hangs', () => {
  expect(blocksOf(lane([]), 2, () => 'red')).toBe('none')
})

it('what is too small to see has two pixels still', () => {
  expect(blocksOf(lane([leg(0, 0, 1)]), 0.2, () => 'red')).toContain('0px 2px')
})
