import { shallowReactive, watch } from 'vue'

type Changed<Part> = (gone: Part[], came: Part[]) => void

/**
 * What stands in a list of parts, found by its key, and kept while the list changes: a part that
 * is the same object in the same place as before is not looked at again, and only who asked for
 * something that came, went or is another now hears of it. On a display of 20,000 strings a step
 * costs what it changes (docs/performance.md).
 *
 * @param parts the list; the one before is told apart from it, once for all maps of it, by the
 *     objects in it
 * @returns makes a map of the list, by what a part holds; a key stands in one part only
 */
export function keeping<Part>(parts: () => readonly Part[]) {
  let before: readonly Part[] = []
  const maps: Changed<Part>[] = []
  watch(
    parts,
    (now) => {
      const { gone, came } = differences(before, now)
      before = now
      maps.forEach((change) => change(gone, came))
    },
    { immediate: true, flush: 'sync' },
  )
  return <Key, Value>(
    entries: (part: Part) => Iterable<readonly [Key, Value]>,
  ): ReadonlyMap<Key, Value> => {
    const map = shallowReactive(new Map<Key, Value>())
    const change: Changed<Part> = (gone, came) => {
      const keys = new Set<Key>()
      for (const part of gone) {
        for (const [key] of entries(part)) {
          keys.add(key)
        }
      }
      for (const part of came) {
        for (const [key, value] of entries(part)) {
          map.set(key, value)
          keys.delete(key)
        }
      }
      keys.forEach((key) => map.delete(key))
    }
    change([], [...before])
    maps.push(change)
    return map
  }
}

/** What of a list does not stand in the same place of another, and the other way round. */
function differences<T>(before: readonly T[], now: readonly T[]) {
  const gone: T[] = []
  const came: T[] = []
  for (let place = 0; place < Math.max(before.length, now.length); place++) {
    if (place >= now.length) {
      gone.push(before[place])
    } else if (place >= before.length) {
      came.push(now[place])
    } else if (before[place] !== now[place]) {
      gone.push(before[place])
      came.push(now[place])
    }
  }
  return { gone, came }
}
