/** The 32 bits of an IPv4 address as a number. */
export function bitsOf(address: string): number {
  return address.split('.').reduce((bits, part) => bits * 256 + Number(part), 0)
}

export function addressOf(bits: number): string {
  return [24, 16, 8, 0].map((by) => Math.floor(bits / 2 ** by) % 256).join('.')
}

/** What an IPv4 address looks like; the server says what else is wrong with one. */
export const DOTTED = /^\d{1,3}(\.\d{1,3}){3}$/
