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

  it('stays the very same while a step leaves it alone, and is another when it says another', () => {
    const host = (tag: string) => ({ host: true, controller: { id: 'h', tag } })
    const of = (tag: string) =>
      ({
        controllers: [host(tag)],
        zones: [],
        network: { enclosures: [] },
      }) as unknown as DisplayView
    const view = shallowRef(of('H1'))
    const { hostChoices } = choicesOf(view)
    const before = hostChoices.value
    view.value = of('H1')
    expect(hostChoices.value).toBe(before)
    view.value = of('H2')
    expect(hostChoices.value).toEqual([{ value: 'h', title: 'H2' }])
  })

  it('is nothing while no display is open', () => {
    expect(choicesOf(shallowRef()).hostChoices.value).toEqual([])
  })
})
