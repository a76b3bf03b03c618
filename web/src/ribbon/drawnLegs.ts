import type { LaneView, PieceView } from '../api/types'
import type { Stretch } from './geometry'

/** A run's legs as they are drawn: worked out once for a lane, whatever is pointed at meanwhile. */
export interface DrawnLeg {
  stretch: Stretch
  piece: string
  /** Where the ribbon begins on the screen, and how wide it is (px). */
  left: number
  width: number
  /** Section ends, null pixels of sections, folds, from the ribbon's beginning (px). */
  sections: number[]
  nulls: { at: number; wide: number }[]
  folds: number[]
  /** Pixels, channels, what a circuit does: what is written at its end. */
  count: string
  /** Whether its start is held; what hangs on DMX lines always has its slot. */
  caught: boolean
  /** The letter of its remote box, where it is another than that of the leg before. */
  box: string
  /** What somebody said is wrong with it. */
  trouble?: string
  wrong?: { fault: boolean; told: string }
  /** What is heard, and what is told where it is pointed at. */
  told: string
  tip: string
}

/** What is known of a piece beside the lane. */
export interface KnownOf {
  view: (piece: string) => PieceView | undefined
  wrong: (piece: string) => { fault: boolean; told: string } | undefined
  progress: (piece: string) => { stage: string; trouble?: { reason: string } } | undefined
}

/** Narrower than this nothing can be pointed at (px). */
const LEAST_WIDTH = 14

const UNITS = { PIXEL: ' pixels', DMX: ' channels', RELAY: '', PANEL: '', SERIAL: ' circuits' }

/**
 * @param scale screen pixels for one pixel of the wire
 */
export function drawnLegs(
  lane: LaneView,
  stretches: Stretch[],
  scale: number,
  known: KnownOf,
): DrawnLeg[] {
  return stretches.map((stretch) => {
    const { leg } = stretch
    const view = known.view(leg.piece)
    const progress = known.progress(leg.piece)
    const wrong = known.wrong(leg.piece)
    const trouble = progress?.trouble?.reason
    const count = countOf(lane, stretch, view)
    const caught = lane.port.kind !== 'DMX' && !!leg.sections[0]?.held
    const stage =
      progress && progress.stage !== 'PLANNED' ? progress.stage.toLowerCase().replace('_', ' ') : ''
    return {
      stretch,
      piece: leg.piece,
      left: (stretch.from + stretch.gap) * scale,
      width: Math.max(stretch.length * scale - 1, LEAST_WIDTH),
      ...marksOf(view, scale),
      count,
      caught,
      box: boxOf(lane, stretch),
      trouble,
      wrong,
      told: toldOf(lane, stretch, count, caught, trouble, known),
      tip: [leg.title, stage, trouble ? `▲ ${trouble}` : '', wrong?.told]
        .filter(Boolean)
        .join('\n'),
    }
  })
}

function marksOf(view: PieceView | undefined, scale: number) {
  const sections: number[] = []
  const nulls: { at: number; wide: number }[] = []
  const folds: number[] = []
  const piece = view?.piece
  if (piece?.kind !== 'string') {
    return { sections, nulls, folds }
  }
  let at = 0
  for (const section of piece.sections) {
    if (at > 0) {
      sections.push(at * scale)
    }
    if (section.nullPixels > 0) {
      nulls.push({ at: at * scale, wide: Math.max(3, section.nullPixels * scale) })
      at += section.nullPixels
    }
    if (section.fold && section.fold * scale >= 5) {
      for (let turn = section.fold; turn < section.pixels; turn += section.fold) {
        folds.push((at + turn) * scale)
      }
    }
    at += section.pixels
  }
  return { sections, nulls, folds }
}

function countOf(lane: LaneView, { leg }: Stretch, view: PieceView | undefined): string {
  if (lane.port.kind === 'DMX') {
    return `${leg.sections[0]?.channels ?? ''}`
  }
  const piece = view?.piece
  switch (piece?.kind) {
    case 'wall':
      return `${leg.pixels} px`
    case 'circuit':
      return `on from ${piece.threshold}`
    case 'dimmer':
      return `unit ${piece.unit} · ${piece.circuits}`
    default:
      return `${leg.pixels}`
  }
}

function boxOf(lane: LaneView, { leg, index }: Stretch): string {
  const before = lane.legs[index - 1]?.box ?? 1
  const box = leg.box ?? 1
  const chained = (lane.bank?.boxes ?? 1) > 1
  return chained && (index === 0 || box !== before) ? String.fromCharCode(64 + box) : ''
}

function toldOf(
  lane: LaneView,
  { leg }: Stretch,
  count: string,
  caught: boolean,
  trouble: string | undefined,
  known: KnownOf,
): string {
  const first = leg.sections[0]
  const start = first?.start ? `, starts ${first.start}` : ''
  const held = caught ? ', held' : ''
  const mirror = leg.mirrorOf ? `, mirrors ${known.view(leg.mirrorOf)?.title ?? leg.mirrorOf}` : ''
  const said = trouble ? `, in trouble: ${trouble}` : ''
  const unit = UNITS[lane.port.kind]
  return `${leg.title} ${count}${unit}${start}${held}${mirror}, on ${lane.written}${said}`
}
