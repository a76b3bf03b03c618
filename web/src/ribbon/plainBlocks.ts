import type { LaneView } from '../api/types'
import { stretches } from './geometry'

/**
 * The ribbons of a lane as one picture: where something hangs, in the colour of its zone. It is as
 * long as the farthest lane, whatever the scale: zooming stretches it, and it is never made anew.
 *
 * @param far pixels of the wire from end to end
 * @param colour of a zone, as CSS has it
 * @returns a background image as CSS has it; none where nothing hangs
 */
export function pictureOf(lane: LaneView, far: number, colour: (zone?: string) => string): string {
  const stops: string[] = []
  let before = '0%'
  for (const { leg, from, gap, length } of stretches(lane)) {
    const begin = percent(from + gap, far)
    // a seam before the next, but never too small to be seen
    const end = `max(${begin} + 2px, ${percent(from + gap + length, far)} - 1px)`
    const fill = `color-mix(in srgb, ${colour(leg.zone)} 45%, transparent)`
    stops.push(`transparent ${before} ${begin}`, `${fill} ${begin} ${end}`)
    before = end
  }
  return stops.length
    ? `linear-gradient(90deg, ${stops.join(', ')}, transparent ${before})`
    : 'none'
}

function percent(pixels: number, far: number): string {
  return `${Number(((100 * pixels) / far).toFixed(4))}%`
}
