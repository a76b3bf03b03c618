/** An element that something is drawn by. */
export interface Slot {
  key: string
  /** Its number among those that are used again; what keeps something of its own has none. */
  place?: number
}

/**
 * Gives what comes into view the place of something of its kind that left, so that elements are
 * used again instead of made anew.
 *
 * @param kindOf rows that keep nothing of their own, so that their elements may be used again;
 *     undefined for one that does
 */
export function useSlots<R extends { key: string }>(kindOf: (row: R) => string | undefined) {
  let held = new Map<string, { place: number; kind: string }>()
  let next = 0
  return (rows: R[]): Slot[] => {
    const here = new Set(rows.filter(kindOf).map((row) => row.key))
    const free = new Map<string, number[]>()
    for (const [key, { place, kind }] of held) {
      if (!here.has(key)) {
        free.set(kind, [...(free.get(kind) ?? []), place])
      }
    }
    const now: typeof held = new Map()
    const slots = rows.map((row): Slot => {
      const kind = kindOf(row)
      if (!kind) {
        return { key: row.key }
      }
      const place = held.get(row.key)?.place ?? free.get(kind)?.pop() ?? next++
      now.set(row.key, { place, kind })
      return { key: `slot ${place}`, place }
    })
    held = now
    return slots
  }
}

/**
 * What is drawn, in an order in which no element is moved: one that is moved is styled and laid out
 * anew with all that is in it. What is used again goes by its number, what keeps something of its
 * own stands before that in its own order, or behind it.
 */
export function unmoved<T extends { slot: Slot }>(all: T[], isBehind: (one: T) => boolean): T[] {
  const used = all.filter((one) => one.slot.place !== undefined)
  const own = all.filter((one) => one.slot.place === undefined)
  return [
    ...own.filter((one) => !isBehind(one)),
    ...used.sort((a, b) => a.slot.place! - b.slot.place!),
    ...own.filter(isBehind),
  ]
}
