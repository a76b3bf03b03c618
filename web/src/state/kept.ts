import { shallowReactive, watch } from 'vue'

/**
 * What stands in a list of parts, found by its key, and kept while the list changes: a part that
 * is the same object in the same place as before is not looked at again, and only who asked for
 * something that came, went or is another now hears of it. On a display of 20,000 strings a step
 * costs what it changes (docs/performance.md).
 *
 * @param parts the list; the one before is told apart from it by the objects in it
 * @param entries what a part holds; a key stands in one part only
 */
export function kept<Part, Key, Value>(
  parts: () => readonly Part[],
  entries: (part: Part) => Iterable<readonly [Key, Value]>,
): ReadonlyMap<Key, Value> {
  const map = shallowReactive(new Map<Key, Value>())
  let before: readonly Part[] = []
  watch(
    parts,
    (now) => {
      const gone = new Set<Key>()
      for (const part of different(before, now)) {
        for (const [key] of entries(part)) {
          gone.add(key)
        }
      }
      for (const part of different(now, before)) {
        for (const [key, value] of entries(part)) {
          map.set(key, value)
          gone.delete(key)
        }
      }
      gone.forEach((key) => map.delete(key))
      before = now
    },
    { immediate: true, flush: 'sync' },
  )
  return map
}

/** Those of a list that stand elsewhere, or not at all, in another. */
function different<T>(these: readonly T[], others: readonly T[]): T[] {
  return these.filter((one, place) => others[place] !== one)
}
