import type { AddressLine } from '../../api/types'

/** The 32 bits of an IPv4 address as a number. */
export function bitsOf(address: string): number {
  return address.split('.').reduce((bits, part) => bits * 256 + Number(part), 0)
}

export function addressOf(bits: number): string {
  return [24, 16, 8, 0].map((by) => Math.floor(bits / 2 ** by) % 256).join('.')
}

/** What an IPv4 address looks like; the server says what else is wrong with one. */
const NUMBER = '(25[0-5]|2[0-4]\\d|[01]?\\d{1,2})'
const FOUR = `${NUMBER}(\\.${NUMBER}){3}`
export const DOTTED = new RegExp(`^${FOUR}$`)

/** Of a field in which one is typed. */
export const ADDRESS = {
  pattern: DOTTED,
  told: 'four numbers from 0 to 255, such as 198.51.100.11',
}

/** From one address to another, as DHCP ranges are written. */
export const RANGE = new RegExp(`^${FOUR}\\s*[–-]\\s*${FOUR}$`)

/** The next address of a subnet in a direction that nobody has; nothing beyond its end. */
export function nextFree(line: AddressLine, address: string, step: number): string | undefined {
  const taken = new Set(line.occupants.map((one) => bitsOf(one.address)))
  let bits = bitsOf(address) + step
  while (taken.has(bits)) {
    bits += step
  }
  return bits >= bitsOf(line.first) && bits <= bitsOf(line.last) ? addressOf(bits) : undefined
}
