/** A row of a list as it is drawn (px). */
interface Row {
  top: number
  height: number
}

/**
 * The place in the list that a pointer means while it carries one of its rows.
 *
 * @param y where the pointer is (px)
 * @param from the place of the row that it carries, from 0
 */
export function placeAt(rows: Row[], y: number, from: number): number {
  const above = rows.filter((row) => y > row.top + row.height / 2).length
  return Math.max(0, Math.min(rows.length - 1, above > from ? above - 1 : above))
}

/** The place before which a row would be put; behind the last it is as many as there are. */
export function dropPlace(from: number, to: number): number {
  return to > from ? to + 1 : to
}
