import type { ControllerView, DisplayView, LaneView } from '../../api/types'

/** How far a zone is: pieces that hang, and those whose controller was given what is planned. */
export interface ZoneProgress {
  id: string
  name: string
  pieces: number
  patched: number
  given: number
  /** Strings that hang, and those of them that a person has seen right. */
  strings: number
  seen: number
  pixels: number
}

/** Zone by zone, in the order of the display; what has no zone comes last. */
export function zoneProgress(
  display: DisplayView,
  laneOf: (piece: string) => LaneView | undefined,
  isGiven: (controller: string) => boolean,
  isSeen: (piece: string) => boolean,
): ZoneProgress[] {
  const start = (id: string, name: string): ZoneProgress => ({
    id,
    name,
    pieces: 0,
    patched: 0,
    given: 0,
    strings: 0,
    seen: 0,
    pixels: 0,
  })
  const zones = new Map(display.zones.map((zone) => [zone.id, start(zone.id, zone.name)]))
  const none = start('', 'No zone')
  for (const { prop, pieces } of display.props) {
    const zone = zones.get(prop.zone ?? '') ?? none
    for (const piece of pieces) {
      const lane = laneOf(piece.piece.id)
      zone.pieces++
      zone.pixels += piece.pixels
      zone.patched += lane ? 1 : 0
      const string = lane && piece.piece.kind === 'string'
      zone.strings += string ? 1 : 0
      zone.seen += string && isSeen(piece.piece.id) ? 1 : 0
      zone.given += lane && isGiven(lane.port.controller) ? 1 : 0
    }
  }
  return [...zones.values(), none].filter((zone) => zone.pieces > 0)
}

/** Strings on the ports of a controller, and those of them that a person has seen right. */
export function seenRight(
  view: ControllerView,
  isString: (piece: string) => boolean,
  isSeen: (piece: string) => boolean,
): { strings: number; seen: number } {
  const pieces = view.lanes.flatMap((lane) => lane.legs.map((leg) => leg.piece)).filter(isString)
  return { strings: pieces.length, seen: pieces.filter(isSeen).length }
}

/** Ports that nothing hangs on, and pixels that would still go on all pixel ports together. */
export function capacityLeft(view: ControllerView): { ports: number; all: number; pixels: number } {
  let ports = 0
  let pixels = 0
  for (const lane of view.lanes) {
    ports += lane.present && lane.legs.length === 0 ? 1 : 0
    if (lane.present && lane.port.kind === 'PIXEL') {
      const limit = lane.load?.limit ?? lane.modelLimit ?? 0
      const used = lane.load ? lane.load.pixels + lane.load.nullPixels : 0
      pixels += Math.max(0, limit - used)
    }
  }
  return { ports, all: view.lanes.length, pixels }
}
