/**
 * Gives what comes into view the place of something that left, so that elements are used again
 * instead of made anew.
 *
 * @param again whether a row keeps nothing of its own, so that its elements may be used again
 */
export function useSlots<R extends { key: string }>(again: (row: R) => boolean) {
  let held = new Map<string, string>()
  let next = 0
  return (rows: R[]): string[] => {
    const here = new Set(rows.filter(again).map((row) => row.key))
    const free = [...held].filter(([key]) => !here.has(key)).map(([, slot]) => slot)
    const now = new Map<string, string>()
    for (const row of rows.filter(again)) {
      now.set(row.key, held.get(row.key) ?? free.pop() ?? `slot ${next++}`)
    }
    held = now
    return rows.map((row) => now.get(row.key) ?? row.key)
  }
}
