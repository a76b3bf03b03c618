import { expect, test } from 'vitest'
import type { AirLine, LineEntry, Present } from '../src/api/types'
import { lineTold, rowsOf } from '../src/places/network/air'
import { forecast, foundBlocks } from '../src/places/network/onLine'
import { movingThere, PRESENCE, summary, takingIn } from '../src/places/network/presence'

function present(state: Present['state'], more: Partial<Present> = {}): Present {
  return { state, product: '', ownName: '', ways: [], told: [], ...more }
}

test('who is there is summed up, the gravest first', () => {
  const all = [present('AS_PLANNED'), present('UNKNOWN'), present('MISSING'), present('AS_PLANNED')]
  expect(summary(all)).toBe('1 missing, 1 not planned, 2 as planned')
  expect(summary([])).toBe('')
  // the table has them in the order in which the core has them
  expect(Object.keys(PRESENCE)).toEqual([
    'MISSING',
    'OTHER_MODEL',
    'OTHER_ADDRESS',
    'UNKNOWN',
    'OTHER_NAME',
    'CANNOT_BE_ASKED',
    'AS_PLANNED',
  ])
})

test('one that nobody planned is taken in where it is, as it is called, in one step', () => {
  const found = present('UNKNOWN', { at: '198.51.100.77', ownName: 'Garage' })
  expect(takingIn(found, 'ostrand-five', 'k9', 'Garage')).toEqual({
    type: 'Together',
    title: 'Take Garage at 198.51.100.77 into the plan',
    edits: [
      { type: 'AddControllers', model: 'ostrand-five', controllers: ['k9'] },
      {
        type: 'SetControllers',
        controllers: ['k9'],
        set: { settings: { address: '198.51.100.77' } },
      },
      { type: 'SetControllers', controllers: ['k9'], set: { name: 'Garage' } },
    ],
  })
  const moved = present('OTHER_ADDRESS', { controller: 'k2', at: '198.51.100.112' })
  expect(movingThere(moved)).toMatchObject({ controllers: ['k2'] })
})

function line(
  universe: number,
  state: AirLine['state'],
  from: string[] = [],
  protocol: 'E131' | 'DDP' = 'E131',
): AirLine {
  return {
    planned: {
      protocol,
      transport: 'MULTICAST',
      universe,
      to: '239.255.0.1',
      controllers: ['k1'],
      size: 510,
      least: 510,
      senders: {},
    },
    state,
    streams: from.map((one) => ({
      protocol,
      from: one,
      name: '',
      to: '239.255.0.1',
      universe,
      packets: 9,
      perSecond: 40,
      leastSlots: 510,
      mostSlots: 510,
      priority: 100,
      missing: 0,
      outOfOrder: 0,
      otherStartCodes: 0,
      ended: false,
      counted: false,
    })),
  }
}

test('what arrives is told by controller, neighbours together', () => {
  const lines = [
    line(1, 'HEARD', ['198.51.100.5']),
    line(2, 'HEARD', ['198.51.100.5']),
    line(4, 'HEARD', ['198.51.100.5']),
    line(3, 'NOT_HEARD'),
  ]
  const [row] = rowsOf({ lines, findings: [], others: [] })
  expect(row.told).toBe(
    'E1.31 1–2, 4 heard from 198.51.100.5, priority 100, 40/s; E1.31 3 not heard',
  )
  expect(lineTold(lines[0])).toBe(
    'E1.31 1, 510 slots to 239.255.0.1: heard from 198.51.100.5, priority 100, 40/s, 510 slots',
  )
  expect(lineTold(line(0, 'CANNOT_BE_HEARD', [], 'DDP'))).toBe(
    'DDP, 510 bytes to 239.255.0.1: cannot be heard from here',
  )
})

const device = (id: string, place: number, width: number) => ({
  id,
  maker: '',
  model: 'Flood',
  place,
  width,
  identifying: false,
  collides: false,
})

test('found fixtures lie on their line, and a slot is looked at before it is set', () => {
  const entries: LineEntry[] = [
    { state: 'OVERLAPS', piece: 'p1', plannedPlace: 1, device: device('A', 1, 256), told: ['x'] },
    { state: 'MISSING', piece: 'p2', plannedPlace: 300, told: ['nobody'] },
    { state: 'AS_PLANNED', piece: 'p3', plannedPlace: 500, device: device('B', 500, 1), told: [] },
  ]
  expect(foundBlocks(entries, (piece) => piece)).toEqual([
    { from: 0, width: 0.5, title: 'p1', wrong: true },
    { from: 499 / 512, width: 1 / 512, title: 'p3', wrong: false },
  ])
  expect(forecast(entries, 'A')).toBe('x; 1 planned would still be missing')
  expect(forecast(entries, 'B')).toBe('as planned then; 1 planned would still be missing')
  expect(forecast(entries, 'C')).toBe('')
})
