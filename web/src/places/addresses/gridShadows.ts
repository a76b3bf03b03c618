import type { AddressAt } from '../../api/types'
import type { GridRow } from './gridRows'

/** Where something stood at a milestone that stands elsewhere now. */
export interface Shadow {
  piece: string
  title: string
  first: number
  last: number
}

/**
 * The shadows of each row, by its place in the contract's order: every section that stands
 * elsewhere now, or nowhere, at the slots that it had.
 */
export function shadowsOf(
  rows: GridRow[],
  then: AddressAt[],
  tagOf: (controller: number) => string | undefined,
): Map<number, Shadow[]> {
  const byController = new Map<string, GridRow[]>()
  for (const row of rows) {
    const tag = tagOf(row.controller)
    if (tag) {
      byController.set(tag, [...(byController.get(tag) ?? []), row])
    }
  }
  const shadows = new Map<number, Shadow[]>()
  for (const at of then) {
    for (const [row, first, last] of slotsOf(at, byController.get(at.controller) ?? [])) {
      const stands = row.stretches.some(
        (one) => one.piece === at.piece && one.section === at.section - 1 && one.first === first,
      )
      if (!stands) {
        const shadow = { piece: at.piece, title: at.title, first, last }
        shadows.set(row.index, [...(shadows.get(row.index) ?? []), shadow])
      }
    }
  }
  return shadows
}

/** The slots that a section had, row by row of its controller. */
function slotsOf(at: AddressAt, rows: GridRow[]): [GridRow, number, number][] {
  const found: [GridRow, number, number][] = []
  let left = at.channels
  const onBytes = at.start === undefined
  // from 0, over what is counted: slots of a universe, or bytes
  let next = onBytes ? at.own - 1 : at.start!.channel - 1
  const from = onBytes ? rows.filter((row) => row.firstByte >= 0) : rows.filter(isUniverse)
  const ordered = [...from].sort((a, b) => a.firstByte - b.firstByte || a.number - b.number)
  for (const row of ordered) {
    const begin = onBytes ? row.firstByte : 0
    const here = onBytes
      ? next >= begin && next < begin + row.size
      : row.number >= at.start!.universe
    if (left > 0 && here && next >= begin) {
      const first = next - begin + 1
      const last = Math.min(row.size, first + left - 1)
      found.push([row, first, last])
      left -= last - first + 1
      next = onBytes ? row.firstByte + row.size : 0
    }
  }
  return found
}
const isUniverse = (row: GridRow) => row.firstByte < 0
