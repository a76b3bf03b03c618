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
