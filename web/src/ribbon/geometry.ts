import type { LaneView, LegView, Section } from '../api/types'

/** Where a leg lies along its wire, in pixels of the wire. */
export interface Stretch {
  leg: LegView
  index: number
  /** Where the gap before it begins. */
  from: number
  /** Null pixels of that gap. */
  gap: number
  /** Pixels and null pixels of the piece itself. */
  length: number
}

/** Room for a piece that has no pixels on a wire: a circuit, a dimmer pack, a wall. */
const PLAIN_LENGTH = { RELAY: 90, SERIAL: 170, PANEL: 230 }

/** Fixtures lie at their slots; everything else follows the leg before it. */
export function stretches(lane: LaneView): Stretch[] {
  const kind = lane.port.kind
  return lane.legs.map((leg, index) => {
    if (kind === 'PIXEL') {
      return { leg, index, from: leg.before, gap: leg.nullPixels, length: leg.places }
    }
    if (kind === 'DMX') {
      return { leg, index, from: slotOf(leg) - 1, gap: 0, length: channelsOf(leg) }
    }
    return { leg, index, from: index * PLAIN_LENGTH[kind], gap: 0, length: PLAIN_LENGTH[kind] }
  })
}

/** Places of a whole run of pixels. */
export function placesOf(lane: LaneView): number {
  const last = lane.legs.at(-1)
  return last ? last.before + last.nullPixels + last.places : 0
}

/** The slot that a fixture is set to. */
export function slotOf(leg: LegView): number {
  return leg.sections[0]?.startAt?.channel ?? 1
}

/** How many slots a fixture takes. */
const channelsOf = (leg: LegView) => leg.sections[0]?.channels ?? 1

/** Where a lane ends, in pixels of the wire; undefined where nothing limits it. */
export function limitOf(lane: LaneView): number | undefined {
  if (lane.port.kind === 'DMX') {
    return 512
  }
  return lane.load?.limit ?? lane.modelLimit
}

/** Where the last ribbon ends: asked of every lane of a display after each step. */
export function endOf(lane: LaneView): number {
  const kind = lane.port.kind
  if (kind === 'PIXEL') {
    return placesOf(lane)
  }
  return kind === 'DMX'
    ? lane.legs.reduce((far, leg) => Math.max(far, slotOf(leg) - 1 + channelsOf(leg)), 0)
    : lane.legs.length * PLAIN_LENGTH[kind]
}

/** A letter of what says by how much a run is too long, and what stands around it (px). */
const EXCESS_LETTER = 6.7
const EXCESS_SPACE = 18

/**
 * Where it is said by how much a run is too long (px): behind what is too much, or over its end
 * where the numbers of the lane begin there.
 *
 * @param end where the last ribbon ends (px)
 * @param room where the view of the wire ends (px)
 */
export function excessAt(end: number, room: number, told: string): number {
  return Math.max(0, Math.min(end + 8, room - told.length * EXCESS_LETTER - EXCESS_SPACE))
}

/** How far a lane reaches, limit or ribbons, whichever is longer. */
export function reachOf(lane: LaneView): number {
  return Math.max(endOf(lane), limitOf(lane) ?? 0)
}

/** Of controllers as they were: a step makes others of those that it changes. */
const reached = new WeakMap<object, number>()

/** How far the farthest of all lanes reaches; a display that is nearly empty is not blown up. */
export function farthest(controllers: readonly { lanes: LaneView[] }[]): number {
  let far = 100
  for (const one of controllers) {
    const reach = reached.get(one) ?? Math.max(0, ...one.lanes.map(reachOf))
    reached.set(one, reach)
    far = Math.max(far, reach)
  }
  return far
}

/** The least room in which a section can be edited, and the seam behind each (px). */
const LEAST_SECTION = 270
export const SEAM = 14

/** Widths of the sections of a string enlarged: to scale, but never too small to edit (px). */
export function sectionWidths(sections: Section[], width: number): number[] {
  const total = sections.reduce((sum, s) => sum + s.pixels + s.nullPixels, 0)
  return sections.map((s) =>
    Math.min(width, Math.max(LEAST_SECTION, (width * (s.pixels + s.nullPixels)) / total - SEAM)),
  )
}

/** In how many rows they stand: what has no room beside the others begins a row of its own. */
export function sectionRows(sections: Section[], width: number): number {
  let rows = 1
  let used = 0
  for (const one of sectionWidths(sections, width)) {
    if (used > 0 && used + one > width) {
      rows++
      used = 0
    }
    used += one + SEAM
  }
  return rows
}
