import { describe, expect, it } from 'vitest'
import { shallowRef } from 'vue'
import type { DisplayView } from '../src/api/types'
import { choicesOf } from '../src/state/choices'

describe('what a field may be set to', () => {
  it('is each host by its tag, each zone and each enclosure by its name', () => {
    const view = shallowRef({
      controllers: [
        { host: true, controller: { id: 'h', tag: 'H1', name: 'Shed' } },
        { host: false, controller: { id: 'k', tag: 'K1', name: 'Gate' } },
      ],
      zones: [{ id: 'z', name: 'Gate', colour: 1 }],
      network: { enclosures: [{ enclosure: { id: 'b', name: 'Box 1' }, controllers: [] }] },
    } as unknown as DisplayView)
    const of = choicesOf(view)
    expect(of.hostChoices.value).toEqual([{ value: 'h', title: 'H1' }])
    expect(of.zoneChoices.value).toEqual([{ value: 'z', title: 'Gate' }])
    expect(of.enclosureChoices.value).toEqual([{ value: 'b', title: 'Box 1' }])
  })

  it('is nothing while no display is open', () => {
    expect(choicesOf(shallowRef()).hostChoices.value).toEqual([])
  })
})
