/**
 * Numbers what is in view, from 0 on: each keeps its number as long as it is there, and who comes
 * takes the smallest that nobody has.
 *
 * @returns takes the keys that are there now, answers the number of each
 */
export function keepingNumbers(): (keys: string[]) => number[] {
  let held = new Map<string, number>()
  return (keys) => {
    const stay = keys.map((key) => held.get(key))
    const taken = new Set(stay)
    let free = 0
    const numbers = stay.map((number) => {
      if (number !== undefined) {
        return number
      }
      while (taken.has(free)) {
        free++
      }
      return free++
    })
    held = new Map(keys.map((key, i) => [key, numbers[i]]))
    return numbers
  }
}

/**
 * Gives what comes into view the place of something of its kind that left, so that elements are
 * used again instead of made anew.
 *
 * @param kindOf rows that keep nothing of their own, so that their elements may be used again;
 *     undefined for one that does
 */
export function useSlots<R extends { key: string }>(kindOf: (row: R) => string | undefined) {
  const kinds = new Map<string, ReturnType<typeof keepingNumbers>>()
  return (rows: R[]): string[] => {
    const slots = new Map<string, string>()
    for (const kind of new Set([...kinds.keys(), ...rows.flatMap((row) => kindOf(row) ?? [])])) {
      const numbers = kinds.get(kind) ?? keepingNumbers()
      kinds.set(kind, numbers)
      const keys = rows.filter((row) => kindOf(row) === kind).map((row) => row.key)
      numbers(keys).forEach((number, i) => slots.set(keys[i], `${kind} slot ${number}`))
    }
    return rows.map((row) => slots.get(row.key) ?? row.key)
  }
}
