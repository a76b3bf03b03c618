import { describe, expect, it } from 'vitest'
import type { DisplayView } from '../src/api/types'
import { devicesOf } from '../src/places/network/deviceList'

const at = (controller: string, title: string, address: string) => ({ controller, title, address })
const controller = (id: string, address?: string) => ({
  controller: { id, tag: id.toUpperCase(), name: 'Shed', settings: { address } },
  modelTitle: 'Ostrand Five',
})
const view = {
  network: {
    lines: [
      {
        occupants: [at('k1', 'K1 Shed', '198.51.100.11'), at('k3', 'K3 Shed', '198.51.100.13')],
        clashes: ['198.51.100.13'],
        free: ['198.51.100.12'],
      },
      {
        occupants: [at('k1', 'K1 Shed, second adapter', '203.0.113.5')],
        clashes: [],
        free: ['203.0.113.1'],
      },
    ],
    outside: [at('k4', 'K4 Shed', '10.9.9.9')],
  },
  controllers: [
    controller('k1', '198.51.100.11'),
    controller('k2'),
    controller('k3', '198.51.100.13'),
    controller('k4', '10.9.9.9'),
  ],
} as unknown as DisplayView

describe('the devices of a network', () => {
  const devices = devicesOf(view)

  it('stand controller by controller, once for each adapter, also where one has no address', () => {
    expect(devices.map((one) => [one.title, one.occupant.address])).toEqual([
      ['K1 Shed', '198.51.100.11'],
      ['K1 Shed, second adapter', '203.0.113.5'],
      ['K2 Shed', undefined],
      ['K3 Shed', '198.51.100.13'],
      ['K4 Shed', '10.9.9.9'],
    ])
  })

  it('say what is wrong with an address', () => {
    expect(devices.map((one) => one.wrong)).toEqual([
      '',
      '',
      'no address',
      'another device has it too',
      'in no subnet',
    ])
  })

  it('are offered the next free address of their own subnet, or of the first', () => {
    expect(devices.map((one) => one.next)).toEqual([
      '198.51.100.12',
      '203.0.113.1',
      '198.51.100.12',
      '198.51.100.12',
      '198.51.100.12',
    ])
    const without = { ...view, network: { ...view.network, lines: [] } }
    expect(devicesOf(without).map((one) => one.next)).toEqual([undefined, undefined])
  })
})
