import { expect, test } from 'vitest'
import type { DisplayView } from '../src/api/types'
import { lookup } from '../src/shell/veryPixel'

const lanes = [{ port: { controller: 'k1', kind: 'PIXEL', port: 7 }, written: 'K1-7', label: '7' }]
const display = {
  controllers: [
    { controller: { id: 'k1', tag: 'K1' }, lanes },
    { controller: { id: 'k3', tag: 'K3' }, lanes: [] },
  ],
} as unknown as DisplayView

test('an address in any way of counting asks for the very pixel', () => {
  expect(lookup(display, '12:301')).toEqual({ slot: '12:301' })
  expect(lookup(display, 'display 8,741')).toEqual({ displayChannel: 8741 })
  expect(lookup(display, 'byte 4096 of k3')).toEqual({ controller: 'k3', byte: 4096 })
  expect(lookup(display, 'K1-7 pixel 88')).toEqual({
    controller: 'k1',
    kind: 'PIXEL',
    port: 7,
    pixel: 88,
  })
  expect(lookup(display, 'byte 4096 of K9')).toBeUndefined()
  expect(lookup(display, 'display')).toBeUndefined()
})
