import { expect, test } from 'vitest'
import type { ControllerView, Delta, DisplayView } from '../src/api/types'
import { after } from '../src/state/step'

const lane = (port: number, pixels: number) => ({ port, pixels })
const controller = (id: string, ...lanes: object[]) =>
  ({ controller: { id }, lanes }) as unknown as ControllerView
const now = {
  id: 'd',
  version: 4,
  name: 'Quay',
  controllers: [controller('k1', lane(1, 50), lane(2, 50)), controller('k2')],
  props: [{ prop: { id: 'p' } }],
  findings: ['one'],
  accepted: [],
  network: { lines: ['l'], outside: [], flows: ['f', 'g'], enclosures: ['e'], links: ['n', 'm'] },
  power: { supplies: ['s', 't'], mains: ['m'], inputs: [], idleWatts: 3, plannedShare: 0.8 },
} as unknown as DisplayView
const of = (delta: object) =>
  after(now, { version: 5, controllers: [], props: [], ...delta } as unknown as Delta, (id) =>
    now.controllers.find((one) => one.controller.id === id),
  )

test('what a step does not tell is the very same', () => {
  const next = of({ name: 'Harbour' })
  expect(next.version).toBe(5)
  expect(next.name).toBe('Harbour')
  for (const part of [
    'controllers',
    'props',
    'findings',
    'accepted',
    'network',
    'power',
  ] as const) {
    expect(next[part]).toBe(now[part])
  }
})

test('settings, zones and pixel types are told with each step, and the very same where they say the same', () => {
  const has = { settings: { stride: 1 }, zones: [{ id: 'z' }], pixelTypes: [{ id: 't' }] }
  const before = { ...now, ...has } as unknown as DisplayView
  const told = JSON.parse(JSON.stringify({ version: 5, controllers: [], props: [], ...has }))
  const next = after(before, { ...told, zones: [{ id: 'y' }] }, () => undefined)
  expect(next.settings).toBe(before.settings)
  expect(next.pixelTypes).toBe(before.pixelTypes)
  expect(next.zones).toEqual([{ id: 'y' }])
})

test('of network and power some entries of some lists are told', () => {
  const next = of({
    network: {
      flows: { size: 2, places: [1], entries: ['h'] },
      links: { size: 1, places: [], entries: [] },
    },
    power: { supplies: { size: 3, places: [2], entries: ['u'] }, idleWatts: 4 },
  })
  expect(next.network).toEqual({ ...now.network, flows: ['f', 'h'], links: ['n'] })
  expect(next.network.enclosures).toBe(now.network.enclosures)
  expect(next.power).toEqual({ ...now.power, supplies: ['s', 't', 'u'], idleWatts: 4 })
  expect(next.power.mains).toBe(now.power.mains)
})

test('of a controller that changed the lanes that say the same are the very same', () => {
  const next = of({ controllers: [controller('k1', lane(1, 50), lane(2, 60))] })
  expect(next.controllers[0].lanes[0]).toBe(now.controllers[0].lanes[0])
  expect(next.controllers[0].lanes[1]).toEqual(lane(2, 60))
  expect(next.controllers[1]).toBe(now.controllers[1])
})
