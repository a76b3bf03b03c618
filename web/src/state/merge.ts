/** Puts changed entries into a list and brings it into the order given, if any. */
export function merge<T>(
  now: T[],
  changed: T[],
  order: string[] | null | undefined,
  id: (entry: T) => string,
): T[] {
  const byId = new Map(now.map((entry) => [id(entry), entry]))
  changed.forEach((entry) => byId.set(id(entry), entry))
  return (order ?? now.map(id)).map((key) => byId.get(key)!)
}
