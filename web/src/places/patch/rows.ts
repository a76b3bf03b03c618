import type { ControllerView, LaneView, LegView, PieceView } from '../../api/types'
import { sectionRows } from '../../ribbon/geometry'
import { portKey } from '../../state/display'

/** A row of Patch: a controller's head, its banks, its lanes, what is enlarged, its addresses. */
export type Row = {
  key: string
  /** px */
  height: number
  view: ControllerView
} & (
  | { kind: 'head' | 'ruler' }
  | { kind: 'lane' | 'bank'; lane: LaneView }
  | { kind: 'glass'; lane: LaneView; leg: LegView }
)

/** Room under the glass, by what hangs there (px). */
const GLASS = { PIXEL: 274, PANEL: 236, DMX: 140, RELAY: 84, SERIAL: 84 }
/** A row of sections under the glass, with their addresses (px). */
const SECTION_ROW = 126
/** What stands beside the sections under the glass (px). */
const GLASS_BESIDE = 170

/** What is shown of a controller. */
export interface Shown {
  folded: boolean
  /** Whether a lane has a row. */
  has: (lane: LaneView) => boolean
  /** The piece under the glass, and how wide the glass is (px). */
  glass?: string
  glassWidth: number
  piece: (id: string) => PieceView | undefined
}

/** The rows of a controller, in order. */
export function patchRows(view: ControllerView, shown: Shown): Row[] {
  const id = view.controller.id
  const all: Row[] = [{ kind: 'head', key: `h${id}`, height: 40, view }]
  if (shown.folded) {
    return all
  }
  let bank: number | undefined
  for (const lane of view.lanes) {
    if (!shown.has(lane)) {
      continue
    }
    if (lane.bank && lane.bank.bank !== bank) {
      all.push({ kind: 'bank', key: `b${portKey(lane.port)}`, height: 22, view, lane })
    }
    bank = lane.bank?.bank
    all.push({ kind: 'lane', key: portKey(lane.port), height: 35, view, lane })
    const leg = lane.legs.find((one) => one.piece === shown.glass)
    if (leg) {
      const height = GLASS[lane.port.kind] + moreRows(leg, shown)
      all.push({ kind: 'glass', key: `g${leg.piece}`, height, view, lane, leg })
    }
  }
  if (view.block.channels > 0) {
    all.push({ kind: 'ruler', key: `r${id}`, height: 64, view })
  }
  return all
}

/** What a string of many sections takes more under the glass (px). */
function moreRows({ piece }: LegView, shown: Shown): number {
  const one = shown.piece(piece)?.piece
  const room = shown.glassWidth - GLASS_BESIDE
  return one?.kind === 'string' ? (sectionRows(one.sections, room) - 1) * SECTION_ROW : 0
}
