import type { LaneView } from '../api/types'
import { stretches } from './geometry'

/**
 * The ribbons of a lane as one picture: where something hangs, in the colour of its zone.
 *
 * @param scale screen pixels for one pixel of the wire
 * @param colour of a zone, as CSS has it
 * @returns a background image as CSS has it; none where nothing hangs
 */
export function blocksOf(lane: LaneView, scale: number, colour: (zone?: string) => string): string {
  const stops: string[] = []
  let at = 0
  for (const { leg, from, gap, length } of stretches(lane)) {
    const begin = Math.round((from + gap) * scale)
    const end = Math.max(begin + 2, Math.round((from + gap + length) * scale) - 1)
    const fill = `color-mix(in srgb, ${colour(leg.zone)} 45%, transparent)`
    stops.push(`transparent ${at}px ${begin}px`, `${fill} ${begin}px ${end}px`)
    at = end
  }
  return stops.length ? `linear-gradient(90deg, ${stops.join(', ')}, transparent ${at}px)` : 'none'
}
