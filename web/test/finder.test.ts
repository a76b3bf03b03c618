import { expect, test } from 'vitest'
import type { DisplayView } from '../src/api/types'
import { find } from '../src/shell/finder'

function lane(controller: string, at: number, label = `${at}`) {
  return {
    port: { controller, kind: 'PIXEL', port: at },
    written: `${controller.toUpperCase()}-${at}`,
    label,
    legs: [],
  }
}
const dmx = (at: number) => ({
  ...lane('k5', at),
  port: { controller: 'k5', kind: 'DMX', port: at },
  written: `K5-DMX${at}`,
})
function controller(id: string, lanes: unknown[]) {
  const settings = { note: '' }
  return {
    controller: { id, tag: id.toUpperCase(), name: 'Quay', settings },
    modelTitle: 'Sample',
    lanes,
  }
}
function piece(id: string, title: string, written?: string) {
  return { piece: { id }, title, written }
}
const display = {
  controllers: [
    controller('k1', [lane('k1', 1), lane('k1', 2, 'D4')]),
    controller('k3', []),
    controller('k5', [1, 2].map(dmx)),
  ],
  props: [
    {
      prop: { id: 'p', name: 'Lanterns' },
      pieces: [
        piece('a', 'Lantern 1'),
        piece('b', 'Lantern 2', 'K1-1'),
        piece('c', 'Rope', 'K1-2'),
      ],
    },
  ],
  zones: [],
  network: { lines: [], enclosures: [], links: [] },
  power: { supplies: [], mains: [] },
} as unknown as DisplayView

const titles = (text: string) => find(display, text).map((one) => one.title)

test('a piece goes to a port, by its tag or by the name on the board', () => {
  expect(find(display, 'rope to k1-1')[0].act?.edit).toEqual({
    type: 'PatchPieces',
    pieces: ['c'],
    port: { controller: 'k1', kind: 'PIXEL', port: 1 },
  })
  expect(titles('rope to d4')).toEqual(['Patch Rope to K1-2'])
  expect(titles('rope to k5-2')).toEqual(['Patch Rope to K5-DMX2'])
})

test('all that are meant go to a controller at once, one a port', () => {
  const found = find(display, 'lantern to K3')
  expect(found.map((one) => one.title)).toEqual([
    'Patch 2 pieces to K3',
    'Patch Lantern 1 to K3',
    'Patch Lantern 2 to K3',
  ])
  expect(titles('lantern 2 to K3')).toEqual(['Patch Lantern 2 to K3'])
  expect(found[0].act?.edit).toEqual({
    type: 'PatchAcross',
    pieces: ['a', 'b'],
    controller: 'k3',
  })
})

test('what hangs is taken off, and mirrors another', () => {
  expect(titles('unpatch lantern')).toEqual(['Unpatch Lantern 2'])
  expect(find(display, 'rope mirrors lantern').map((one) => one.act?.edit)).toEqual([
    { type: 'SetLegs', pieces: ['c'], set: { mirrorOf: 'b' } },
  ])
  expect(titles('rope to nowhere-7')).toEqual([])
})
