import type { TrialPort } from '../../api/types'

/** What one port shows, as it is drawn: a byte for each colour of each pixel. */
export interface PortPixels {
  port: TrialPort['port']
  width: number
  meant: Uint8Array
  /** Nothing where nobody knows. */
  shown?: Uint8Array
  differing: number
  planned: boolean
}

export function bytesOf(base64: string): Uint8Array {
  return Uint8Array.from(atob(base64), (letter) => letter.charCodeAt(0))
}

/** Pixels of the longest wire; few are drawn as if they were more. */
export function longestWire(looks: { ports: TrialPort[] }[]): number {
  return Math.max(
    60,
    ...looks.flatMap((look) =>
      look.ports
        .filter((port) => port.port.kind === 'PIXEL')
        .map((port) => (port.meant.length * 3) / 4 / port.width),
    ),
  )
}

export function decoded(port: TrialPort): PortPixels {
  return {
    port: port.port,
    width: port.width,
    meant: bytesOf(port.meant),
    shown: port.shown === undefined ? undefined : bytesOf(port.shown),
    differing: port.differing,
    planned: port.planned,
  }
}

/** The brightest of all levels that are drawn: the light of others is told against it. */
export function brightest(ports: { meant: Uint8Array; shown?: Uint8Array }[]): number {
  let most = 1
  for (const port of ports) {
    for (const bytes of [port.meant, port.shown ?? port.meant]) {
      for (const level of bytes) {
        most = Math.max(most, level)
      }
    }
  }
  return most
}

/**
 * The colour of a stretch of pixels, the brightest of each channel: what is drawn in one column.
 *
 * @param from the first pixel, from 0
 * @param to behind the last
 * @param brightest level that is drawn as full; low light is seen better than it is high
 * @returns red, green and blue; a white of its own counts for all three
 */
export function colourOf(
  bytes: Uint8Array,
  width: number,
  from: number,
  to: number,
  brightest = 255,
): [number, number, number] {
  const seen = (level: number) => Math.round(255 * Math.sqrt(Math.min(1, level / brightest)))
  const most = [0, 0, 0, 0]
  for (let pixel = from; pixel < to; pixel++) {
    for (let channel = 0; channel < Math.min(width, 4); channel++) {
      most[channel] = Math.max(most[channel], bytes[pixel * width + channel] ?? 0)
    }
  }
  if (width < 3) {
    const level = seen(Math.max(...most))
    return [level, level, Math.round(level * 0.85)]
  }
  return [seen(most[0] + most[3]), seen(most[1] + most[3]), seen(most[2] + most[3])]
}

/** Whether any pixel of a stretch shows something else than is meant. */
export function differs(port: PortPixels, from: number, to: number): boolean {
  if (!port.shown) {
    return false
  }
  for (let i = from * port.width; i < to * port.width; i++) {
    if ((port.meant[i] ?? 0) !== (port.shown[i] ?? 0)) {
      return true
    }
  }
  return false
}

/** Packets a second that each sender brought between two looks, by universe and sender. */
export interface Rate {
  sender: string
  own: boolean
  universe: number
  perSecond: number
}
interface Streams {
  streams: { sender: string; own: boolean; universe: number; packets: number }[]
}
export function rates(before: Streams | undefined, now: Streams, seconds: number): Rate[] {
  const key = (one: { sender: string; universe: number }) => `${one.sender} ${one.universe}`
  const then = new Map(before?.streams.map((one) => [key(one), one.packets]))
  return now.streams
    .map((one) => ({
      sender: one.sender,
      own: one.own,
      universe: one.universe,
      perSecond: Math.max(0, (one.packets - (then.get(key(one)) ?? one.packets)) / seconds),
    }))
    .filter((one) => one.perSecond > 0)
}
