import type { Controller, Occupant } from '../../api/types'

/**
 * The controller or host with another address. Where a host names the same address for itself and
 * for an adapter, both move.
 */
export function withAddress(controller: Controller, occupant: Occupant, address: string) {
  const adapters = controller.adapters.map((adapter, i) =>
    i === occupant.adapter || adapter.address === occupant.address
      ? { ...adapter, address }
      : adapter,
  )
  const settings =
    occupant.adapter === undefined ? { ...controller.settings, address } : controller.settings
  return { ...controller, adapters, settings }
}
