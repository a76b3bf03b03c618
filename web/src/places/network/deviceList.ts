import type { DisplayView, Occupant } from '../../api/types'

/** A device with an address, or one that should have one. */
export interface Device {
  title: string
  model: string
  occupant: Partial<Occupant>
  /** What is wrong with its address; empty where nothing is. */
  wrong: string
  /** The next free address of its subnet; of the first where it is in none. */
  next?: string
}

/** All of them, controller by controller; one with several adapters stands once for each. */
export function devicesOf({ network, controllers }: DisplayView): Device[] {
  const placed = [...network.lines.flatMap((line) => line.occupants), ...network.outside]
  const byController = new Map<string, typeof placed>()
  placed.forEach((one) => {
    const own = byController.get(one.controller)
    if (own) {
      own.push(one)
    } else {
      byController.set(one.controller, [one])
    }
  })
  const clashes = new Set(network.lines.flatMap((line) => line.clashes))
  const free = new Map<string, string | undefined>()
  // an address that is in two subnets belongs to the first
  for (const line of [...network.lines].reverse()) {
    line.occupants.forEach(({ address }) => free.set(address, line.free[0]))
  }
  const standing = ({ address }: Partial<Occupant>): Pick<Device, 'wrong' | 'next'> => {
    if (!address || !free.has(address)) {
      const wrong = address ? 'in no subnet' : 'no address'
      return { wrong, next: network.lines[0]?.free[0] }
    }
    const wrong = clashes.has(address) ? 'another device has it too' : ''
    return { wrong, next: free.get(address) }
  }
  return controllers.flatMap((view) => {
    const { id, tag, name, settings } = view.controller
    const own = byController.get(id) ?? []
    const without = settings.address ? [] : [{ controller: id, title: `${tag} ${name}` }]
    return [...without, ...own].map((occupant) => ({
      title: occupant.title,
      model: view.modelTitle,
      occupant,
      ...standing(occupant),
    }))
  })
}
