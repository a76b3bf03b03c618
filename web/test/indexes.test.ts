import { describe, expect, it } from 'vitest'
import { shallowRef } from 'vue'
import type { DisplayView } from '../src/api/types'
import { indexesOf, portKey, wrongKey } from '../src/state/indexes'

const port = (controller: string, number: number) => ({
  controller,
  kind: 'PIXEL' as const,
  port: number,
})
const piece = (id: string, hangs?: object) => ({ piece: { id }, title: id, port: hangs })
const finding = (code: string, severity: string, message: string, ...subjects: object[]) => ({
  code,
  severity,
  message,
  subjects,
})
const view = {
  zones: [
    { id: 'gate', name: 'Gate' },
    { id: 'roof', name: 'Roof' },
  ],
  pixelTypes: [{ id: 'node', name: 'Node' }],
  controllers: [
    {
      controller: { id: 'k1' },
      lanes: [{ port: port('k1', 1), legs: [{ piece: 'a' }, { piece: 'b' }] }],
    },
    { controller: { id: 'k2' }, lanes: [{ port: port('k2', 1), legs: [] }] },
  ],
  props: [
    { prop: { id: 'p', zone: 'roof' }, pieces: [piece('a', port('k1', 1)), piece('c')] },
    { prop: { id: 'q' }, pieces: [piece('b', port('k1', 1))] },
  ],
  findings: [
    finding(
      'overlap',
      'FAULT',
      'a and b overlap',
      { controller: 'k1', piece: 'a' },
      { piece: 'b' },
    ),
    finding('weak', 'RISK', 'a is dim', { controller: 'k1', piece: 'a' }),
    finding('long', 'RISK', 'too long', { controller: 'k1', port: port('k1', 1) }),
    finding('room', 'HINT', 'room left', { controller: 'k2' }),
    finding('no-address', 'FAULT', 'no address', { controller: 'k3' }),
    finding('same-address', 'FAULT', 'twice', { controller: 'k4' }, { controller: 'k3' }),
  ],
} as unknown as DisplayView

describe('what is in a display', () => {
  const of = indexesOf(shallowRef(view))

  it('is found by its id, wherever it hangs', () => {
    expect([...of.pieces.keys()]).toEqual(['a', 'c', 'b'])
    expect(of.legs.get('b')).toMatchObject({ index: 1, lane: { port: { port: 1 } } })
    expect(of.legs.has('c')).toBe(false)
    expect(of.propOfPiece.get('c')?.prop.id).toBe('p')
    expect(of.laneByPort.get('k2|PIXEL|1')?.legs).toEqual([])
    expect(of.controllerOf('k2')?.controller.id).toBe('k2')
    expect(of.pixelTypes.value.get('node')?.name).toBe('Node')
    expect(of.zoneName('roof')).toBe('Roof')
  })

  it('is loose where it hangs on nothing', () => {
    expect(of.loose.value.map((one) => one.piece.id)).toEqual(['c'])
  })

  it('has the colour of its zone, by the place of the zone in the list', () => {
    expect(of.zoneColour('roof')).toBe('var(--zone-1)')
    expect(of.zoneColour('gone')).toBe('var(--zone-none)')
    expect(of.zoneColour()).toBe('var(--zone-none)')
  })

  it('is wrong where a finding is about it: the worst, and each told, but for hints', () => {
    expect(of.wrongAt.value.get('piece a')).toEqual({
      fault: true,
      told: 'a and b overlap\na is dim',
    })
    expect(of.wrongAt.value.get('k1|PIXEL|1')).toEqual({ fault: false, told: 'too long' })
    expect(of.wrongAt.value.has('k2')).toBe(false)
    expect(of.overlapping.value).toEqual(new Set(['a', 'b']))
  })

  it('has a wrong address where the first finding about its address says so', () => {
    expect([...of.wrongAddress.value]).toEqual([
      ['k3', 'no address'],
      ['k4', 'twice'],
    ])
  })

  it('counts a finding once for each controller that it is about', () => {
    expect([...of.findingsOf.value]).toEqual([
      ['k1', 3],
      ['k2', 1],
      ['k3', 2],
      ['k4', 1],
    ])
    expect(of.wrongControllers.value).toEqual(new Set(['k1', 'k2', 'k3', 'k4', undefined]))
  })

  it('has the very same zones and types after a step that left them alone', () => {
    const at = shallowRef(view)
    const all = indexesOf(at)
    const types = all.pixelTypes.value
    at.value = { ...view, version: 2, findings: [] }
    expect(all.pixelTypes.value).toBe(types)
    expect(all.zoneColour('roof')).toBe('var(--zone-1)')
    at.value = { ...view, pixelTypes: [] }
    expect(all.pixelTypes.value.size).toBe(0)
  })

  it('is nothing while no display is open', () => {
    const none = indexesOf(shallowRef<DisplayView>())
    expect(none.lanes.value).toEqual([])
    expect(none.loose.value).toEqual([])
    expect(none.wrongAt.value.size).toBe(0)
    expect(none.controllerOf('k1')).toBeUndefined()
    expect(none.zoneName('roof')).toBe('')
  })
})

describe('keys', () => {
  it('of a finding are of the narrowest thing that it is about', () => {
    expect(wrongKey({ controller: 'k1', piece: 'a', port: port('k1', 1) } as never)).toBe('piece a')
    expect(wrongKey({ controller: 'k1', port: port('k1', 2) } as never)).toBe('k1|PIXEL|2')
    expect(wrongKey({ controller: 'k1' } as never)).toBe('k1')
    expect(wrongKey({} as never)).toBeUndefined()
  })
  it('of ports can stand in an attribute', () => {
    expect(portKey({ controller: 'k1', kind: 'DMX', port: 2 })).toBe('k1|DMX|2')
  })
})
