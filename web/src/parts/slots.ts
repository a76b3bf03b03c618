/**
 * Gives what comes into view the place of something of its kind that left, so that elements are
 * used again instead of made anew.
 *
 * @param kindOf rows that keep nothing of their own, so that their elements may be used again;
 *     undefined for one that does
 */
export function useSlots<R extends { key: string }>(kindOf: (row: R) => string | undefined) {
  let held = new Map<string, { slot: string; kind: string }>()
  let next = 0
  return (rows: R[]): string[] => {
    const here = new Set(rows.filter(kindOf).map((row) => row.key))
    const free = new Map<string, string[]>()
    for (const [key, { slot, kind }] of held) {
      if (!here.has(key)) {
        free.set(kind, [...(free.get(kind) ?? []), slot])
      }
    }
    const now: typeof held = new Map()
    for (const row of rows) {
      const kind = kindOf(row)
      if (kind) {
        const slot = held.get(row.key)?.slot ?? free.get(kind)?.pop() ?? `${kind} slot ${next++}`
        now.set(row.key, { slot, kind })
      }
    }
    held = now
    return rows.map((row) => now.get(row.key)?.slot ?? row.key)
  }
}
