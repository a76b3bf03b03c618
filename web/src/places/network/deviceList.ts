import type { DisplayView, Occupant } from '../../api/types'

/** A device with an address, or one that should have one. */
export interface Device {
  title: string
  model: string
  occupant: Partial<Occupant>
}

type Network = DisplayView['network']

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
  return controllers.flatMap((view) => {
    const { id, tag, name, settings } = view.controller
    const own = byController.get(id) ?? []
    const without = settings.address ? [] : [{ controller: id, title: `${tag} ${name}` }]
    return [...without, ...own].map((occupant) => ({
      title: occupant.title,
      model: view.modelTitle,
      occupant,
    }))
  })
}

function lineOf(network: Network, address?: string) {
  return network.lines.find((line) => line.occupants.some((one) => one.address === address))
}

/** What is wrong with its address; nothing where nothing is. */
export function wrongWith(network: Network, { address }: Partial<Occupant>): string {
  if (!address) {
    return 'no address'
  }
  const line = lineOf(network, address)
  if (!line) {
    return 'in no subnet'
  }
  return line.clashes.includes(address) ? 'another device has it too' : ''
}

/** The next free address of its subnet; of the first where it is in none. */
export function firstFree(network: Network, { address }: Partial<Occupant>): string | undefined {
  return (lineOf(network, address) ?? network.lines[0])?.free[0]
}
