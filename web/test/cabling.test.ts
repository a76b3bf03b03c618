import { expect, test } from 'vitest'
import type { EnclosureView, Link } from '../src/api/types'
import {
  branches,
  lengthState,
  SWITCHES,
  switchesOf,
  switchesTold,
} from '../src/places/network/cabling'

function box(id: string): EnclosureView {
  return {
    enclosure: { id, name: id, switches: [] },
    controllers: id === 'office' ? ['h1'] : [],
    supplies: [],
    switchPorts: 0,
    plugged: 0,
  }
}
const COPPER = { plannedCopperMetres: 90, mostCopperMetres: 100 }
function link(id: string, from: string, to: string, metres?: number): Link {
  return { id, name: id, from, to, kind: 'COPPER', metres }
}
const sends = (view: EnclosureView) => view.controllers.includes('h1')

test('cables lead from the sender to everything, whichever end they are written from', () => {
  const rows = branches(
    [box('bridge'), box('wall'), box('office'), box('alone')],
    [link('n1', 'wall', 'office'), link('n2', 'wall', 'bridge')],
    sends,
  )
  expect(rows.map((row) => [row.view.enclosure.id, row.depth, row.link?.id])).toEqual([
    ['office', 0, undefined],
    ['wall', 1, 'n1'],
    ['bridge', 2, 'n2'],
    ['alone', 0, undefined],
  ])
})

test('a link that closes a circle is told where it closes it, and nobody runs round for ever', () => {
  const rows = branches(
    [box('office'), box('wall'), box('bridge')],
    [link('n1', 'office', 'wall'), link('n2', 'wall', 'bridge'), link('n3', 'bridge', 'office')],
    sends,
  )
  expect(rows.map((row) => row.view.enclosure.id)).toEqual(['office', 'wall', 'bridge'])
  expect(rows.flatMap((row) => row.closing.map((one) => one.id))).toEqual(['n3'])
})

test('copper is planned up to 90 m, and ends at 100', () => {
  expect(lengthState(link('n', 'a', 'b', 90), COPPER)).toBe('')
  expect(lengthState(link('n', 'a', 'b', 90.5), COPPER)).toBe('near')
  expect(lengthState(link('n', 'a', 'b', 101), COPPER)).toBe('over')
  expect(lengthState({ ...link('n', 'a', 'b', 500), kind: 'FIBRE' }, COPPER)).toBe('')
})

test('switches are written as their ports', () => {
  expect(switchesOf('8 + 5')).toEqual([8, 5])
  expect(switchesOf('')).toEqual([])
  expect(switchesTold([8, 5])).toBe('8 + 5')
  expect(SWITCHES.test('8, 5')).toBe(true)
  expect(SWITCHES.test('eight')).toBe(false)
})
