import { expect, test } from 'vitest'
import type { DisplayView } from '../src/api/types'
import { COMMANDS } from '../src/shell/commands'
import { page, written } from '../src/shell/grammar'
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
function piece(id: string, title: string, written?: string, tags: string[] = []) {
  return { piece: { id }, title, written, tags }
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
        piece('c', 'Rope', 'K1-2', ['S017', 'C018']),
      ],
    },
  ],
  zones: [],
  settings: { universeStride: 1 },
  network: { lines: [], enclosures: [], links: [] },
  power: { supplies: [], mains: [] },
} as unknown as DisplayView

const titles = (text: string) => find(display, text).map((one) => one.title)

test('a thing is found by its tag, whole, in any letters', () => {
  expect(titles('s017')).toEqual(['Rope, tag S017'])
  expect(titles('C018')).toEqual(['Rope, tag C018'])
  expect(titles('S01')).toEqual([])
})

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

const first = (text: string) => find(display, text)[0]

test('what planners do all evening is a command', () => {
  expect(first('k1 brightness 30').act?.edit).toEqual({
    type: 'SetControllers',
    controllers: ['k1'],
    set: { settings: { brightness: 30 } },
  })
  expect(first('k1-2 brightness 30%').act?.edit).toMatchObject({ type: 'SetPort' })
  expect(first('lanterns brightness 30').act?.edit).toMatchObject({ type: 'SetProps' })
  expect(first('unpatch rope').act?.edit).toEqual({ type: 'UnpatchPieces', pieces: ['c'] })
  expect(first('hold rope at 12:301').act?.edit).toMatchObject({
    set: { hold: { universe: 12, channel: 301 } },
  })
  expect(first('k5 before k3').act?.edit).toMatchObject({ type: 'MoveController', by: -1 })
  expect(first('k1 after k5').act?.edit).toMatchObject({ type: 'MoveController', by: 2 })
  expect(first('close gaps').act?.edit).toMatchObject({ type: 'OrderUniverses' })
  expect(titles('k1 brightness 300')).not.toContain('K1 brightness 300 %')
})

test('the first letters are enough: the rest of a command is filled in', () => {
  const fills = (text: string) => find(display, text).flatMap((one) => one.fills ?? [])
  expect(fills('hol')).toContain('hold ')
  expect(fills('hold ro')).toContain('hold Rope ')
  expect(fills('hold Rope a')).toContain('hold Rope at ')
  expect(fills('next')).toContain('next free address for ')
  expect(fills('next free address for k')).toContain('next free address for K1')
  expect(fills('rope mi')).toContain('rope mirrors ')
})

test('every command is found as the grammar says it', () => {
  for (const { says, parts } of COMMANDS) {
    const told = written(parts)
    const fixed = parts.filter((part) => typeof part === 'string')
    expect(
      fixed.every((word) => says.includes(word)),
      `${says}: ${told}`,
    ).toBe(true)
  }
})

test('the page of the finder is drawn from its grammar', async () => {
  await expect(page()).toMatchFileSnapshot('../../docs/finder.md')
})

test('anything that hangs is lit by its name', () => {
  expect(titles('light k1')[0]).toBe('Light K1 Quay')
  expect(find(display, 'light k1')[0].lights?.kind).toBe('controller')
  expect(titles('light nowhere')).not.toContain('Light nowhere')
})
