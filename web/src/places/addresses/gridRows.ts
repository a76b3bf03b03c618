import type { GridView } from '../../api/types'

/** What a stretch is, as the contract packs it. */
export const HELD = 1
export const MIRROR = 2
export const OVERLAPS = 4
export const CUT = 8

/** A stretch of a row that one section, circuit or fixture stands in. */
export interface Stretch {
  piece: string
  section: number
  first: number
  last: number
  marks: number
}

/** A universe, or a packet of bytes. */
export interface GridRow {
  /** Its place in the contract's order, by which it is asked for slot by slot. */
  index: number
  domain: string
  /** The place of its controller in the list. */
  controller: number
  number: number
  size: number
  /** On DDP the byte of its first slot; −1 where it is a universe. */
  firstByte: number
  stretches: Stretch[]
}

const ROW = 6
const STRETCH = 5

/** The rows as the contract packs them, sorted by source and controller. */
export function rowsOf(grid: GridView, sourceOf: (controller: number) => number): GridRow[] {
  const rows: GridRow[] = []
  let at = 0
  for (let i = 0; i * ROW < grid.rows.length; i++) {
    const [domain, controller, number, size, firstByte, count] = grid.rows.slice(
      i * ROW,
      i * ROW + ROW,
    )
    const stretches: Stretch[] = []
    for (let n = 0; n < count; n++, at += STRETCH) {
      stretches.push({
        piece: grid.pieces[grid.stretches[at]],
        section: grid.stretches[at + 1],
        first: grid.stretches[at + 2],
        last: grid.stretches[at + 3],
        marks: grid.stretches[at + 4],
      })
    }
    rows.push({
      index: i,
      domain: grid.domains[domain],
      controller,
      number,
      size,
      firstByte,
      stretches,
    })
  }
  return rows.sort(
    (a, b) =>
      sourceOf(a.controller) - sourceOf(b.controller) ||
      a.controller - b.controller ||
      a.number - b.number,
  )
}

/** What stands in a slot; several where they overlap or mirror. */
export function standsAt(row: GridRow, slot: number): Stretch[] {
  return row.stretches.filter((one) => one.first <= slot && slot <= one.last)
}

/** A slot as it is asked for. */
export function slotOf(row: GridRow, slot: number): string {
  return row.firstByte < 0 ? `${row.number}:${slot}` : `byte ${row.firstByte + slot - 1}`
}

/** Why nothing stands in a slot. */
export function gapTold(row: GridRow, slot: number): string {
  if (row.stretches.length === 0) {
    return 'kept free'
  }
  const before = row.stretches.filter((one) => one.last < slot)
  const after = row.stretches.some((one) => one.first > slot)
  if (after) {
    return 'free between'
  }
  const end = Math.max(0, ...before.map((one) => one.last))
  return row.size - end < 4 ? 'left over: no whole pixel fits' : 'free'
}

/** How many slots of rows are taken, and how many there are. */
export function totals(rows: GridRow[]): { slots: number; taken: number; overlapping: number } {
  let slots = 0
  let taken = 0
  let overlapping = 0
  for (const row of rows) {
    slots += row.size
    let end = 0
    for (const one of row.stretches) {
      taken += Math.max(0, one.last - Math.max(end, one.first - 1))
      end = Math.max(end, one.last)
    }
    overlapping += row.stretches.filter((one) => one.marks & OVERLAPS).length
  }
  return { slots, taken, overlapping }
}

/** The rows in which each word is found: of a controller, a universe, a piece, or of what is wrong. */
export function matching(
  rows: GridRow[],
  filter: string,
  tagOf: (controller: number) => string | undefined,
  titleOf: (piece: string) => string | undefined,
): GridRow[] {
  const words = filter.toLowerCase().split(/\s+/).filter(Boolean)
  if (!words.length) {
    return rows
  }
  return rows.filter((row) => {
    const text = [
      tagOf(row.controller),
      slotOf(row, 1).split(':')[0],
      ...row.stretches.map((one) => titleOf(one.piece)),
      row.stretches.some((one) => one.marks & OVERLAPS) ? 'overlapping' : '',
      row.stretches.some((one) => one.marks & HELD) ? 'held' : '',
    ]
      .join(' ')
      .toLowerCase()
    return words.every((word) => text.includes(word))
  })
}
