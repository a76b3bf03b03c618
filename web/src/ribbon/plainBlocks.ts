import type { LaneView } from '../api/types'
import { stretches } from './geometry'

/** Where a ribbon is that is too short to be seen it is so wide, and so far from the next (px). */
const LEAST = 2
const SEAM = 1

/**
 * The ribbons of a lane as one picture: where something hangs, in the colour of its zone.
 *
 * @param scale px of a pixel of the wire
 * @param colour of a zone, as CSS has it
 * @returns a background image as CSS has it; none where nothing hangs
 */
export function pictureOf(
  lane: LaneView,
  scale: number,
  colour: (zone?: string) => string,
): string {
  const stops: string[] = []
  let before = '0px'
  for (const { leg, from, gap, length } of stretches(lane)) {
    const begin = px((from + gap) * scale)
    const end = px(Math.max((from + gap) * scale + LEAST, (from + gap + length) * scale - SEAM))
    stops.push(`transparent ${before} ${begin}`, `${colour(leg.zone)} ${begin} ${end}`)
    before = end
  }
  return stops.length
    ? `linear-gradient(90deg, ${stops.join(', ')}, transparent ${before})`
    : 'none'
}

function px(length: number): string {
  return `${Math.round(100 * length) / 100}px`
}
