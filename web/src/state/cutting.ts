import type { DisplayView, Edit } from '../api/types'
import { freshId } from './freshId'

/** Two strings of one after so many pixels; the new one's id is chosen here. */
export function cutting(display: DisplayView, piece: string, after: number): Edit {
  const taken = display.props.flatMap((prop) => prop.pieces.map((one) => one.piece.id))
  return { type: 'CutString', piece, after, rest: freshId(piece, taken) }
}
