/** Puts changed entries into a list and brings it into the order given, if any. */
export function merge<T>(
  now: T[],
  changed: T[],
  order: string[] | null | undefined,
  id: (entry: T) => string,
): T[] {
  if (!order) {
    // where nothing changed the list is the same one, and nothing is made of it anew
    return changed.length ? exchanged(now, changed, id) : now
  }
  const byId = new Map([...now, ...changed].map((entry) => [id(entry), entry]))
  return order.map((key) => byId.get(key)!)
}

/** A list with what some of its entries have become; it is looked through until all are found. */
function exchanged<T>(now: T[], changed: T[], id: (entry: T) => string): T[] {
  const changes = new Map(changed.map((entry) => [id(entry), entry]))
  const list = now.slice()
  for (let place = 0; changes.size && place < list.length; place++) {
    const key = id(list[place])
    const change = changes.get(key)
    if (change) {
      list[place] = change
      changes.delete(key)
    }
  }
  return list
}

/** A list with those entries that are told to be others; where nothing is told it is the same one. */
export function put<T>(
  now: T[],
  told?: { size: number; places: number[]; entries: T[] } | null,
): T[] {
  if (!told) {
    return now
  }
  const list = now.slice(0, told.size)
  told.places.forEach((place, i) => (list[place] = told.entries[i]))
  return list
}

/** The first, where the second says the same: what is made of it is not made anew. */
export function sameIfEqual<T>(before: T, now: T): T {
  return JSON.stringify(before) === JSON.stringify(now) ? before : now
}

/** The second list, with the very entries of the first where they stand in the same place and say the same. */
export function sameWhereEqual<T>(before: readonly T[], now: readonly T[]): T[] {
  return now.map((entry, place) => sameIfEqual(before[place], entry))
}
