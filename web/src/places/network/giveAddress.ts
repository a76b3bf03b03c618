import type { Edit, Occupant } from '../../api/types'

/** The edit that gives an address to what has another one now: a device, or an adapter of a host. */
export function addressEdit(occupant: Occupant, address: string): Edit {
  const { controller, adapter } = occupant
  return adapter === undefined
    ? { type: 'SetControllers', controllers: [controller], set: { settings: { address } } }
    : { type: 'SetAdapter', controller, index: adapter, set: { address } }
}
