import { expect, test } from 'vitest'
import { toldStart } from '../src/parts/deviceStart'

test('a start is written as the device has it', () => {
  expect(toldStart({ universe: 4, channel: 280, unwritable: false })).toBe('4:280')
  expect(toldStart({ universe: 4, unwritable: false })).toBe('universe 4')
  expect(toldStart({ channel: 281, unwritable: false })).toBe('channel 281')
  expect(toldStart({ pixelIndex: 0, unwritable: false })).toBe('pixel 0')
  expect(toldStart({ unwritable: false })).toBe('')
  expect(toldStart({ unwritable: true })).toBe('cannot be told')
})
