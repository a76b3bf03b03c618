/** How people write the protocols. */
export const PROTOCOLS = { E131: 'E1.31', ARTNET: 'Art-Net', DDP: 'DDP', NONE: 'host' } as const

export const TRANSPORTS = {
  UNICAST: 'unicast',
  MULTICAST: 'multicast',
  BROADCAST: 'broadcast',
} as const

/** A count with its word. */
export function counted(count: number, one: string, many = `${one}s`): string {
  return `${count.toLocaleString('en')} ${count === 1 ? one : many}`
}

/** What becomes of a pixel that meets the end of a universe. */
export const PACKINGS = {
  CONTIGUOUS: 'may straddle two universes',
  WHOLE_PIXEL: 'begins in the next',
}
export const PORT_STARTS = {
  NEXT_CHANNEL: 'at the next channel',
  NEXT_UNIVERSE: 'at a universe of its own',
}
