import { expect, test } from 'vitest'
import { toldStart } from '../src/parts/deviceStart'

test('a start is written as the device has it', () => {
  expect(toldStart({ universe: 4, channel: 280 })).toBe('4:280')
  expect(toldStart({ universe: 4 })).toBe('universe 4')
  expect(toldStart({ channel: 281 })).toBe('channel 281')
  expect(toldStart({ pixelIndex: 0 })).toBe('pixel 0')
  expect(toldStart({})).toBe('')
})
