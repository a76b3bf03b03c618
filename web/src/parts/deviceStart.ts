import type { DeviceStart } from '../api/types'

/** A start as the device writes it, and nothing where it has none. */
export function toldStart(at: DeviceStart): string {
  if (at.unwritable) {
    return 'cannot be told'
  }
  if (at.pixelIndex !== undefined) {
    return `pixel ${at.pixelIndex}`
  }
  if (at.universe === undefined) {
    return at.channel === undefined ? '' : `channel ${at.channel}`
  }
  return at.channel === undefined ? `universe ${at.universe}` : `${at.universe}:${at.channel}`
}
