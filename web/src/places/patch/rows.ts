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

/** A row where it is. */
export interface Placed {
  row: Row
  /** From the upper edge of all (px). */
  top: number
}

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
  /** What of it is under the glass, and how wide the glass is (px). */
  glass?: { leg: string; of: PieceView; width: number }
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
    const leg = shown.glass && lane.legs.find((one) => one.piece === shown.glass!.leg)
    if (leg) {
      const height = GLASS[lane.port.kind] + moreRows(shown.glass!)
      all.push({ kind: 'glass', key: `g${leg.piece}`, height, view, lane, leg })
    }
  }
  if (view.block.channels > 0) {
    all.push({ kind: 'ruler', key: `r${id}`, height: 64, view })
  }
  return all
}

/** What a string of many sections takes more under the glass (px). */
function moreRows({ of, width }: { of: PieceView; width: number }): number {
  const { piece } = of
  return piece.kind === 'string'
    ? (sectionRows(piece.sections, width - GLASS_BESIDE) - 1) * SECTION_ROW
    : 0
}

/**
 * Rows as above, those of a controller that no step changed the very same as before: after a step
 * nothing is worked out, or drawn, of the hundreds that it left alone.
 *
 * @returns takes besides what tells one choice of lanes from another
 */
export function keepingRows() {
  const kept = new WeakMap<ControllerView, { how: string; rows: Row[] }>()
  return (view: ControllerView, which: string, shown: Shown): Row[] => {
    const how = `${which} ${shown.folded}`
    const before = kept.get(view)
    if (before?.how === how && !shown.glass) {
      return before.rows
    }
    const rows = patchRows(view, shown)
    if (!shown.glass) {
      kept.set(view, { how, rows })
    }
    return rows
  }
}
