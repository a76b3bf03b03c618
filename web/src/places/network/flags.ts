import type { Occupant } from '../../api/types'
import { bitsOf } from './ip'

/** A device's name, or several of the same address, on a pole at its place in a row of a subnet. */
export interface Flag {
  occupants: Occupant[]
  bits: number
  /** Where its pole stands (px). */
  x: number
  /** The lowest is 0. */
  level: number
  /** At the end of the row its name is before its pole. */
  turned: boolean
}

/** Room for a name (px). */
const FLAG = 38

/**
 * The flags of a row, on as many levels as it takes that no two cover each other.
 *
 * @param here who is in the row
 * @param from its first address
 * @param scale px for an address
 * @param width of the row (px)
 */
export function flagsOf(here: Occupant[], from: number, scale: number, width: number) {
  const byAddress = new Map<number, Occupant[]>()
  for (const one of here) {
    const bits = bitsOf(one.address)
    const own = byAddress.get(bits)
    if (own) {
      own.push(one)
    } else {
      byAddress.set(bits, [one])
    }
  }
  const ends: number[] = []
  const made: Flag[] = []
  for (const [bits, occupants] of [...byAddress].sort((a, b) => a[0] - b[0])) {
    const x = (bits - from + 0.5) * scale
    const wide = FLAG * occupants.length
    const turned = x + wide > width
    const begin = turned ? x - wide : x
    let level = ends.findIndex((end) => end <= begin)
    level = level < 0 ? ends.length : level
    ends[level] = begin + wide
    made.push({ occupants, bits, x, level, turned })
  }
  return { made, levels: Math.max(1, ends.length) }
}
