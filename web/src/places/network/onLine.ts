import type { LineEntry } from '../../api/types'

/** States of what is on a line, in words and with the mark that stands before them. */
export const ON_LINE: Record<LineEntry['state'], { mark: string; title: string; wrong: boolean }> =
  {
    COLLIDES: { mark: '▲', title: 'several answer at once', wrong: true },
    OVERLAPS: { mark: '▲', title: 'on top of another', wrong: true },
    MISSING: { mark: '▲', title: 'missing', wrong: true },
    OTHER_PLACE: { mark: '▲', title: 'at another number', wrong: true },
    OTHER_WIDTH: { mark: '▲', title: 'of another size', wrong: true },
    UNKNOWN: { mark: '+', title: 'nobody planned it', wrong: true },
    AS_PLANNED: { mark: '✓', title: 'as planned', wrong: false },
  }

/** A block of slots, as a share of the line. */
export interface Block {
  from: number
  width: number
  title: string
  wrong: boolean
}

export const SLOTS = 512

/** Where found devices lie on their line. */
export function foundBlocks(entries: LineEntry[], titleOf: (piece: string) => string): Block[] {
  return entries.flatMap((one) =>
    one.device
      ? [
          {
            from: (one.device.place - 1) / SLOTS,
            width: Math.max(1, one.device.width) / SLOTS,
            title: one.piece ? titleOf(one.piece) : one.device.model || one.device.id,
            wrong: ON_LINE[one.state].wrong,
          },
        ]
      : [],
  )
}

/** What would be said of a device, and of those that it would stand on, at another slot. */
export function forecast(entries: LineEntry[], uid: string): string {
  const own = entries.find((one) => one.device?.id === uid)
  const missing = entries.filter((one) => one.state === 'MISSING').length
  const rest = missing ? `; ${missing} planned would still be missing` : ''
  return own ? (own.told.join('; ') || 'as planned then') + rest : ''
}
